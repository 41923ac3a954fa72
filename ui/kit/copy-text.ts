import copy from "copy-to-clipboard";

/** Puts a text on the clipboard, also on plain HTTP from another machine, where a page has no clipboard of its own; false where it was not allowed. */
export const copyText = (text: string): Promise<boolean> => copy(text);
