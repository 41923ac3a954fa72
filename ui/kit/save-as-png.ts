import { kitWords } from "@/ui/words";
import { saveFile } from "./save-file";

/** Twice the drawing's own size prints well on a page. */
const PNG_SCALE = 2;

/** Draws an SVG into a picture and hands it to the browser to be saved; a browser that cannot says so by the promise's refusal. */
export async function saveAsPng(svg: string, stem: string): Promise<void> {
  const url = URL.createObjectURL(new Blob([svg], { type: "image/svg+xml" }));
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement("canvas");
    canvas.width = image.naturalWidth * PNG_SCALE;
    canvas.height = image.naturalHeight * PNG_SCALE;
    canvas.getContext("2d")?.drawImage(image, 0, 0, canvas.width, canvas.height);
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, "image/png"));
    if (!blob) throw new Error(kitWords.noPictureMade);
    saveFile(`${stem}.png`, "image/png", blob);
  } finally {
    URL.revokeObjectURL(url);
  }
}
