/** A text within XML: signs of its own are spelled out, and control characters, which have no place in it, left out. */
export const escapeXml = (text: string): string =>
  text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, "").replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);
