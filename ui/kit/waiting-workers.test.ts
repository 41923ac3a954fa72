import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { letWait, takeWorker, WAITS_MS } from "./waiting-workers";

class FakeWorker extends EventTarget {
  readonly postMessage = vi.fn();
  readonly terminate = vi.fn();
}

const starting = () => vi.fn(() => new FakeWorker() as unknown as Worker);

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.runAllTimers();
  vi.useRealTimers();
});

describe("a worker that has answered", () => {
  test("is asked the next question, with its program loaded", () => {
    const start = starting();
    const first = takeWorker(start);
    letWait(start, first);
    expect(takeWorker(start)).toBe(first);
    expect(start).toHaveBeenCalledTimes(1);
  });

  test("is never asked two questions at once", () => {
    const start = starting();
    const first = takeWorker(start);
    letWait(start, first);
    takeWorker(start);
    expect(takeWorker(start)).not.toBe(first);
  });

  test("is asked nothing that another kind answers", () => {
    const [plans, changes] = [starting(), starting()];
    letWait(plans, takeWorker(plans));
    takeWorker(changes);
    expect(changes).toHaveBeenCalledTimes(1);
  });

  test("ends where another of its kind waits already", () => {
    const start = starting();
    const [first, second] = [takeWorker(start), takeWorker(start)];
    letWait(start, first);
    letWait(start, second);
    expect(second.worker.terminate).toHaveBeenCalledTimes(1);
    expect(first.worker.terminate).not.toHaveBeenCalled();
    expect(takeWorker(start)).toBe(first);
  });

  test("ends after a while without a question, and never while it works on one", () => {
    const start = starting();
    const first = takeWorker(start);
    letWait(start, first);
    expect(takeWorker(start)).toBe(first);
    vi.advanceTimersByTime(2 * WAITS_MS);
    expect(first.worker.terminate).not.toHaveBeenCalled();
    letWait(start, first);
    vi.advanceTimersByTime(WAITS_MS);
    expect(first.worker.terminate).toHaveBeenCalledTimes(1);
    expect(takeWorker(start)).not.toBe(first);
  });
});
