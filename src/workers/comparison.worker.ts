import { expose } from 'comlink'
import { ComparisonRunner, type Comparison, type MemberRun } from '../core/ecosystem/comparison/comparison'

/**
 * Runs members of a comparison off the page's own thread and hands each over as it is done; ended by ending the
 * worker.
 */
const api = {
  runMembers(
    comparison: Comparison,
    members: readonly number[],
    onMember: (member: number, runs: MemberRun[]) => void,
  ): void {
    const runner = new ComparisonRunner(comparison)
    for (const member of members) onMember(member, runner.member(member))
  },
}
export type ComparisonWorker = typeof api

expose(api)
