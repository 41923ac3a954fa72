/** Once, when the server starts: the database is opened, and closed properly when the server stops. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME === "nodejs") {
    const { startKeeping } = await import("./server/start");
    await startKeeping();
  }
}
