/** Input that cannot be used; the message is one line that names the file, the place and what was expected. */
export class UnusableInput extends Error {
  override readonly name = "UnusableInput";
}
