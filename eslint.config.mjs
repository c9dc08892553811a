import nextTypescript from "eslint-config-next/typescript";
import nextVitals from "eslint-config-next/core-web-vitals";

const config = [
  { ignores: [".next/", ".data/", "dist/", "next-env.d.ts", "coverage/"] },
  ...nextVitals,
  ...nextTypescript,
  {
    rules: {
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", varsIgnorePattern: "^_" }],
      eqeqeq: "error",
      "no-console": ["error", { allow: ["error"] }],
    },
  },
  {
    // The core is pure: the same input gives the same answer, always.
    files: ["src/core/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      "no-restricted-globals": ["error", "process", "fetch", "window", "document", "setTimeout", "crypto"],
      "no-restricted-properties": [
        "error",
        { object: "Math", property: "random" },
        { object: "Date", property: "now" },
      ],
      "no-restricted-syntax": [
        "error",
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: "Time is an argument." },
      ],
    },
  },
  {
    // While the database does not answer, a page shows what it read last: so all it reads goes through that door. Who is asked at the
    // door itself, and what only owners do there, is of now or not at all.
    files: ["src/app/**/page.tsx", "src/app/**/*Of.ts"],
    ignores: ["src/app/{door,settings}/**"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector: ":not(ArrowFunctionExpression) > CallExpression[callee.name=/^read[A-Z]/]",
          message: "Read what a page shows by `cachedView` or `cachedBeside`.",
        },
      ],
    },
  },
  {
    files: ["src/**"],
    ignores: ["src/ui/Link.tsx", "src/ui/shell/Asking.tsx"],
    rules: {
      "no-restricted-imports": [
        "error",
        { name: "next/link", message: "Use `Link` of ui: it fetches a page when it is pressed." },
      ],
    },
  },
  { files: ["scripts/**", "demo/**"], rules: { "no-console": "off" } },
];

export default config;
