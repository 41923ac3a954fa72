/** Hands a file to the browser to be saved. */
export function saveFile(name: string, type: string, content: string | Blob): void {
  const url = URL.createObjectURL(typeof content === "string" ? new Blob([content], { type }) : content);
  const link = document.createElement("a");
  link.href = url;
  link.download = name;
  link.click();
  // The browser reads the address after the press is over.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
