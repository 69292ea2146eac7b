// Loaded into every server that a script starts: when the script is gone, even by kill -9, its channel closes and the server ends.
process.channel?.unref()
process.on('disconnect', () => process.exit(0))
