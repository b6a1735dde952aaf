/** Ends this process with whoever started it, however that one ends: a starter that is killed says nothing. */
export function endWithStarter(): void {
  // Whoever is the parent by now may be another one already, when the starter was killed while this was still loading.
  const starter = Number(process.env.STARTER_PID ?? process.ppid);
  process.on("disconnect", () => process.exit(0));
  process.on("SIGTERM", () => process.exit(0));
  setInterval(() => process.ppid !== starter && process.exit(0), 1000).unref();
}
