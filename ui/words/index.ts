import * as english from "./en";

/** Every word of the interface, by place: what a language must give. Sentences about a job are made in `core/text`. */
export type Words = typeof english;

/** The language in use. Another one is a folder beside `en` that is of the same type, named here. */
const words: Words = english;

export const {
  arrivalsWords,
  briefWords,
  controlWords,
  deviceWords,
  docketWords,
  frameWords,
  gearWords,
  jobWords,
  kitWords,
  pagesWords,
  patchWords,
  preferencesWords,
  settingsWords,
  shelfWords,
  stockWords,
  themeWords,
} = words;
