/** An expected outcome: the value, or a problem the caller must put into words. */
export type Result<Value, Problem> = { ok: true; value: Value } | { ok: false; problem: Problem }

export const success = <Value>(value: Value): { ok: true; value: Value } => ({ ok: true, value })
export const failure = <Problem>(problem: Problem): { ok: false; problem: Problem } => ({ ok: false, problem })
