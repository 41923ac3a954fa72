import next from "eslint-config-next";
import nextTypescript from "eslint-config-next/typescript";

const config = [
  { ignores: [".next/**", "node_modules/**", "next-env.d.ts", ".scratch/**", "test-results/**", "playwright-report/**"] },
  ...next,
  ...nextTypescript,
  {
    rules: {
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", varsIgnorePattern: "^_" }],
      "@typescript-eslint/no-explicit-any": "error",
      "@typescript-eslint/no-non-null-assertion": "error",
      eqeqeq: ["error", "always"],
      "no-console": "error",
    },
  },
  {
    // What a person reads is in `ui/words`, so that another language is one more folder there.
    files: ["ui/**/*.tsx", "app/**/*.tsx"],
    rules: { "react/jsx-no-literals": ["error", { noStrings: false, allowedStrings: ["·", "/", "…", "→", "←", "×", ":", ",", "."] }] },
  },
  {
    // Over plain HTTP from another machine a page has neither of the first two; the third throws where a device is full.
    files: ["ui/**", "app/**/*.tsx"],
    ignores: ["**/*.test.ts", "ui/kit/device-notes.ts"],
    rules: {
      "no-restricted-properties": [
        "error",
        { object: "crypto", property: "randomUUID", message: "Take v4 of the package uuid." },
        { object: "navigator", property: "clipboard", message: "Take copyText of ui/kit." },
        { object: "window", property: "localStorage", message: "Take keepOnDevice and noteOnDevice of ui/kit." },
      ],
    },
  },
  { files: ["scripts/**", "bench/**", "demo/**", "docs/**"], rules: { "no-console": "off" } },
  {
    // The core stays pure: no clock, no chance, no machine.
    files: ["core/**/*.ts"],
    ignores: ["**/*.test.ts"],
    rules: {
      "no-restricted-globals": ["error", "process", "window", "document", "fetch", "setTimeout", "performance"],
      "no-restricted-properties": ["error", { object: "Date", property: "now" }, { object: "Math", property: "random" }],
    },
  },
];

export default config;
