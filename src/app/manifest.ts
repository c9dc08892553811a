import type { MetadataRoute } from "next";

/** What a phone needs to put the application among its own. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: "Wary Petal",
    short_name: "Wary Petal",
    description: "Inspect, set apart, treat and repeat, plant by plant, until a pest is gone.",
    start_url: "/today",
    display: "standalone",
    background_color: "#F7F5FA",
    theme_color: "#F7F5FA",
    icons: [
      { src: "/icon.svg", sizes: "any", type: "image/svg+xml", purpose: "any" },
      // For those that take no drawings.
      { src: "/mark-192.png", sizes: "192x192", type: "image/png", purpose: "any" },
      { src: "/mark-512.png", sizes: "512x512", type: "image/png", purpose: "any" },
    ],
  };
}
