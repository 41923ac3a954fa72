/** Hands a page to the browser to be printed, without leaving the place. */
export function printPage(html: string): void {
  const frame = document.createElement("iframe");
  frame.hidden = true;
  frame.srcdoc = html;
  frame.addEventListener("load", () => {
    frame.contentWindow?.addEventListener("afterprint", () => frame.remove());
    frame.contentWindow?.print();
  });
  document.body.append(frame);
}
