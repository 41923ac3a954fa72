/** Once, when the server starts: the database is opened, and closed well when the server is told to stop. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME === "nodejs") {
    const { startKeeping } = await import("./server/start");
    await startKeeping();
  }
}
