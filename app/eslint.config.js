import js from "@eslint/js";
import globals from "globals";

export default [
  js.configs.recommended,
  {
    files: ["src/main/resources/static/js/**/*.js"],
    languageOptions: { globals: globals.browser },
    rules: { eqeqeq: "error", "no-var": "error", "prefer-const": "error" },
  },
  {
    files: ["src/test/js/**/*.mjs", "build/**/*.mjs"],
    languageOptions: { globals: globals.node },
  },
];
