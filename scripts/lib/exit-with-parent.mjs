// Loaded into every server that a script starts: when the script is gone, even by kill -9, its channel closes and the
// server ends.
// A server may start processes of its own with the same arguments: their channel is not ours, and they live by it.
const startedBy = process.env.STARTED_BY

/** A script that was ended while it started this has closed the channel before anyone could hear it. */
function isGone(pid) {
  try {
    process.kill(Number(pid), 0)
    return false
  } catch (error) {
    return error.code === 'ESRCH'
  }
}

if (startedBy && isGone(startedBy)) process.exit(0)
if (startedBy === String(process.ppid)) {
  process.channel?.unref()
  process.on('disconnect', () => process.exit(0))
}
