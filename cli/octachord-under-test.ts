import { vi } from "vitest";
import { main } from "./main";

/** For tests: runs a command without starting anything, and catches what it prints. */
export async function octachord(args: readonly string[]) {
  const told = { stdout: "", stderr: "" };
  const spies = (["stdout", "stderr"] as const).map((name) =>
    vi.spyOn(process[name], "write").mockImplementation((text) => {
      told[name] += String(text);
      return true;
    }),
  );
  try {
    return { status: await main(args), ...told };
  } finally {
    for (const spy of spies) spy.mockRestore();
  }
}
