import { z } from 'zod'

/** Ids are uuids, branded so that a pond's cannot be passed where a site's is asked for. */
const id = <Brand extends string>() => z.uuid().brand<Brand>()

export const FirmId = id<'Firm'>()
export const UserId = id<'User'>()
export const CrewId = id<'Crew'>()
export const CustomerId = id<'Customer'>()
export const SiteId = id<'Site'>()
export const PondId = id<'Pond'>()
export const DesignId = id<'Design'>()
export const VisitId = id<'Visit'>()
export const EntryId = id<'Entry'>()
export const PhotoId = id<'Photo'>()
export const FollowUpId = id<'FollowUp'>()
export const ProposalId = id<'Proposal'>()
export const PlanRunId = id<'PlanRun'>()
export const TakeoverId = id<'Takeover'>()
export const WhatIfId = id<'WhatIf'>()
export const ForecastRunId = id<'ForecastRun'>()
export const DiagnosisId = id<'Diagnosis'>()
export const TrainerGameId = id<'TrainerGame'>()
export type TrainerGameId = z.infer<typeof TrainerGameId>
export type FirmId = z.infer<typeof FirmId>
export type UserId = z.infer<typeof UserId>
export type CrewId = z.infer<typeof CrewId>
export type CustomerId = z.infer<typeof CustomerId>
export type SiteId = z.infer<typeof SiteId>
export type PondId = z.infer<typeof PondId>
export type DesignId = z.infer<typeof DesignId>
export type VisitId = z.infer<typeof VisitId>
export type EntryId = z.infer<typeof EntryId>
export type PhotoId = z.infer<typeof PhotoId>
export type FollowUpId = z.infer<typeof FollowUpId>
export type ProposalId = z.infer<typeof ProposalId>
export type PlanRunId = z.infer<typeof PlanRunId>
export type TakeoverId = z.infer<typeof TakeoverId>
export type WhatIfId = z.infer<typeof WhatIfId>
export type ForecastRunId = z.infer<typeof ForecastRunId>
export type DiagnosisId = z.infer<typeof DiagnosisId>
