import js from "@eslint/js";
import globals from "globals";

const LINES = 220;
const SMALL = {
  complexity: ["error", 14],
  "max-len": ["error", { code: 120, ignoreUrls: true, ignoreStrings: true, ignoreTemplateLiterals: true }],
  "max-lines": ["error", LINES],
  "no-use-before-define": ["error", { functions: false, classes: false, variables: false }],
};

export default [
  js.configs.recommended,
  {
    files: ["src/main/resources/static/js/**/*.js"],
    languageOptions: { globals: globals.browser },
    rules: { ...SMALL, eqeqeq: "error", "no-var": "error", "prefer-const": "error" },
  },
  {
    files: ["src/test/js/**/*.mjs", "build/**/*.mjs"],
    languageOptions: { globals: globals.node },
    rules: { ...SMALL, "max-lines": ["error", LINES + 40] },
  },
];
