import { cleanup, configure } from "@testing-library/react";
import { afterEach, expect, vi } from "vitest";
import { WorkerHere } from "./workers-here";

/*
 * A page without its server and its browser: addresses and the record of a visit are given by the test, workers run in the page, what is
 * fetched late is fetched at once, and nothing is saved.
 */
vi.mock("next/navigation", async () => {
  const { given } = await import("./given");
  const router = { push: () => undefined, replace: () => undefined, refresh: () => undefined, prefetch: () => undefined };
  return {
    useSearchParams: () => new URLSearchParams(given.search),
    useRouter: () => router,
    usePathname: () => "/jobs/one/arrivals",
    useParams: () => ({ id: "one" }),
  };
});
vi.mock("next/dynamic", async () => {
  const { lazy } = await import("react");
  return { default: (load: () => Promise<never>) => lazy(async () => ({ default: await load() })) };
});
vi.mock("comlink", async () => (await import("./workers-here")).messagesHere);
vi.mock("@/ui/job/job-saver", () => ({ startSaving: () => () => undefined }));
vi.mock("@/ui/visit/use-visit", async () => {
  const { useGivenVisit } = await import("./given");
  return { useVisit: useGivenVisit };
});

vi.stubGlobal("Worker", WorkerHere);
vi.stubGlobal(
  "ResizeObserver",
  class {
    observe(): void {}
    unobserve(): void {}
    disconnect(): void {}
  },
);
vi.stubGlobal("matchMedia", (media: string) => ({
  media,
  matches: false,
  addEventListener: () => undefined,
  removeEventListener: () => undefined,
  addListener: () => undefined,
  removeListener: () => undefined,
}));
vi.stubGlobal("fetch", () => Promise.reject(new Error("no server here")));

/** Ends what hangs: workers answer in the page itself, on a machine that may be busy. */
configure({ asyncUtilTimeout: 30_000 });

/** No faults of a page: a worker that answers while a test waits for something else, and fields that measure themselves where nothing has a size. */
const BENIGN = ["not configured to support act", "`NaN` is an invalid value for the `%s` css style property. height", "Not implemented"];

const told = vi.spyOn(console, "error");

afterEach(() => {
  cleanup();
  const faults = told.mock.calls.map((words) => words.map(String).join(" ")).filter((words) => !BENIGN.some((one) => words.includes(one)));
  told.mockClear();
  expect(faults, "what React finds wrong with a page").toEqual([]);
});
