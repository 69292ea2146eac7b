// Loaded into every server that a script starts: when the script is gone, even by kill -9, its channel closes and the
// server ends.
// A server may start processes of its own with the same arguments: their channel is not ours, and they live by it.
if (process.env.STARTED_BY === String(process.ppid)) {
  process.channel?.unref()
  process.on('disconnect', () => process.exit(0))
}
