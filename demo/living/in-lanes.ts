/** Does work on many things, some at once: while one waits for the database, another computes. */
export async function inLanes<Item>(
  items: readonly Item[],
  lanes: number,
  work: (item: Item) => Promise<void>,
): Promise<void> {
  const left = [...items]
  const lane = async () => {
    for (let item = left.shift(); item !== undefined; item = left.shift()) await work(item)
  }
  await Promise.all(Array.from({ length: lanes }, lane))
}
