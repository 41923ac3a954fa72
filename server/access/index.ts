export { Access, type Caller, type Session, type SignInRefusal } from "./access";
export { accessOfServer, COOKIE, cookieHeader, cookieOf, isLetIn, needsSignIn, openAccess } from "./gate";
