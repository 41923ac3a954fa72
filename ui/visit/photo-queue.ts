import { createStore, del, entries, set, type UseStore } from "idb-keyval";
import { v4 as newId } from "uuid";
import { z } from "zod";
import { Attachment } from "@/core/job";

const Waiting = z.object({ job: z.string(), name: z.string(), device: z.string().nullable(), blob: z.instanceof(Blob) });
type Waiting = z.infer<typeof Waiting>;
const Told = z.object({ detail: z.string() });

let shared: UseStore | undefined;
const store = () => (shared ??= createStore("octachord-photos", "waiting"));

/** Holds a photo on this device until the server has it; gives the id that it has from now on. */
export async function holdPhoto(photo: Waiting): Promise<string> {
  const id = newId();
  await set(id, photo, store());
  return id;
}

/**
 * Sends the photos of a job that wait on this device. Where the server is away they go on waiting; a file that is no photo is let go.
 * @param taken called with each that the server has now, to name it in the job; only after that this device lets it go
 * @returns a sentence for each that the server refused
 */
export async function sendPhotos(job: string, taken: (attachment: Attachment) => void): Promise<readonly string[]> {
  const told: string[] = [];
  for (const [key, value] of await entries(store()).catch(() => [])) {
    const [id, read] = [z.uuid().safeParse(key), Waiting.safeParse(value)];
    if (!id.success || !read.success || read.data.job !== job) continue;
    const response = await post(id.data, read.data);
    if (!response || response.status >= 500 || response.status === 401) continue;
    const body: unknown = await response.json();
    const attachment = response.ok ? Attachment.safeParse(body) : null;
    if (attachment?.success) taken(attachment.data);
    else told.push(`${read.data.name}: ${Told.safeParse(body).data?.detail ?? response.statusText}`);
    await del(id.data, store());
  }
  return told;
}

async function post(id: string, { job, name, device, blob }: Waiting): Promise<Response | null> {
  const query = new URLSearchParams({ id, name: name.slice(0, 200), ...(device ? { device } : {}) });
  return fetch(`/api/jobs/${job}/photos?${query.toString()}`, { method: "POST", body: blob }).catch(() => null);
}
