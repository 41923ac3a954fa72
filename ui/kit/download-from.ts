/** Has the browser save what the server answers at an address. */
export function downloadFrom(address: string): void {
  const link = document.createElement("a");
  link.href = address;
  link.download = "";
  link.click();
}
