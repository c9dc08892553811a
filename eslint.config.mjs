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
  { files: ["scripts/**", "demo/**"], rules: { "no-console": "off" } },
];

export default config;
