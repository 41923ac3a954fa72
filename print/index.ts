export { pdfOfPages } from "./pdf-of-pages";
