export { PhoneDialog } from "./phone-dialog";
export { SignInPlace } from "./sign-in-place";
export { Sessions, type SessionShown } from "./sessions";
