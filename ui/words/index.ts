// The language in use; another one is a folder beside `en` that is of the type `Words`, named here. Each place asks for its own words
// alone, so that no page loads those of the others. Sentences about a job are made in `core/text`.
export * from "./en";

/** Every word of the interface, by place: what a language must give. */
export type Words = typeof import("./en");
