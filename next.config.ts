import type { NextConfig } from "next";

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  // It answers on this machine and in the home network, where packing costs more time than it saves.
  compress: false,
  // Sequelize checks class identity, which bundling breaks; pg loads its parts at run time.
  serverExternalPackages: ["sequelize", "pg", "pg-boss", "sharp", "esbuild", "@node-rs/argon2"],
  // Types are checked by `npm test`; whoever only starts the application need not wait for them.
  typescript: { ignoreBuildErrors: true },
  // By which a page knows that the application has been renewed.
  env: { BUILT_FROM: process.env["BUILT_FROM"] ?? "" },
  turbopack: { root: import.meta.dirname },
  sassOptions: { quietDeps: true, silenceDeprecations: ["import", "global-builtin", "color-functions", "if-function"] },
  experimental: { optimizePackageImports: ["react-bootstrap"] },
  async headers() {
    return [
      {
        source: "/:path*",
        headers: [
          { key: "X-Content-Type-Options", value: "nosniff" },
          { key: "X-Frame-Options", value: "DENY" },
          { key: "Referrer-Policy", value: "same-origin" },
          { key: "Cross-Origin-Resource-Policy", value: "same-origin" },
          { key: "Cross-Origin-Opener-Policy", value: "same-origin" },
        ],
      },
    ];
  },
};

export default config;
