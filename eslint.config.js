import js from "@eslint/js";
import globals from "globals";

export default [
  js.configs.recommended,
  {
    files: ["public/scripts/**/*.js"],
    languageOptions: { globals: globals.browser, sourceType: "module" },
    rules: {
      complexity: ["error", 12], // every ?. counts as a branch
      "max-depth": ["error", 2],
      "max-len": ["error", { code: 130 }],
      "max-lines": ["error", 200],
      "max-lines-per-function": ["error", 30],
      "no-nested-ternary": "error",
      "no-unused-expressions": ["error", { allowShortCircuit: true }],
      "no-var": "error",
      "prefer-const": "error",
      eqeqeq: "error"
    }
  }
];
