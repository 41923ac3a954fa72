import { formatPlace, type Breach } from "@/core/job";
import { troubleSentence } from "@/core/text";
import { problem } from "../problem";

/** A device whose parts do not hold together, with the place in it. */
export const notTogether = (breach: Breach): Response =>
  problem({
    status: 422,
    title: "Not saved",
    detail: troubleSentence({ code: "breach", place: formatPlace(breach.place.slice(2)), breach }),
  });
