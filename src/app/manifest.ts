import type { MetadataRoute } from "next";

/** What a device needs to know to have the application among its own. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    id: "/",
    name: "Tezgah",
    short_name: "Tezgah",
    description: "The workbench of a small-pastry baker.",
    start_url: "/",
    scope: "/",
    display: "standalone",
    background_color: "#f3f5f4",
    theme_color: "#0d6b6e",
    icons: [
      { src: "/icons/bench-192.png", sizes: "192x192", type: "image/png" },
      { src: "/icons/bench-512.png", sizes: "512x512", type: "image/png" },
      // With room round it: some devices cut icons to a circle.
      { src: "/icons/bench-round-512.png", sizes: "512x512", type: "image/png", purpose: "maskable" },
      { src: "/icon.svg", sizes: "any", type: "image/svg+xml" },
    ],
  };
}
