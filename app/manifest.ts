import type { MetadataRoute } from "next";
import { PALETTE } from "@/ui/theme/palette";
import { pagesWords } from "@/ui/words";

/** What a browser needs to keep the application on a home screen. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: pagesWords.octachord,
    short_name: pagesWords.octachord,
    description: pagesWords.description,
    start_url: "/",
    display: "standalone",
    background_color: PALETTE.dim.ground,
    theme_color: PALETTE.dim.ground,
    icons: [
      { src: "/icon.svg", sizes: "any", type: "image/svg+xml" },
      { src: "/icons/192.png", sizes: "192x192", type: "image/png" },
      { src: "/icons/512.png", sizes: "512x512", type: "image/png" },
    ],
  };
}
