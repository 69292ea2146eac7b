/** Water chemistry: what tests mean and what to dose. Start reading at ammonia.ts. */
export * from './ammonia'
export * from './dechlorination'
export * from './dissolved-oxygen'
export * from './doses'
export * from './readings'
export * from './water-changes'
export * from './verdict'
