import { createSerwistRoute } from "@serwist/turbopack";

/** The service worker and the list of what it keeps, made once when the application is built. */
export const { dynamic, dynamicParams, revalidate, generateStaticParams, GET } = createSerwistRoute({
  swSrc: "src/app/serwist/_parts/serviceWorker.ts",
  useNativeEsbuild: true,
  nextConfig: { distDir: ".next" },
  additionalPrecacheEntries: [{ url: "/offline", revision: "1" }],
});
