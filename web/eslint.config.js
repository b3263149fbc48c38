import js from "@eslint/js";
import a11y from "eslint-plugin-jsx-a11y";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

export default ts.config(
  { ignores: ["dist", "src/shared/api/schema.ts"] },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    files: ["src/**/*.{ts,tsx}"],
    plugins: { "react-hooks": hooks, "jsx-a11y": a11y },
    settings: {
      // The library's and our own elements are checked as what they become.
      "jsx-a11y": {
        polymorphicPropName: "as",
        components: {
          Box: "div",
          Flex: "div",
          Grid: "div",
          Button: "button",
          Toggle: "button",
          Entry: "button",
          Option: "button",
          IconButton: "button",
          Input: "input",
          FileInput: "input",
          Select: "select",
          Area: "textarea",
          Label: "label",
          Svg: "svg",
          Table: "table",
        },
      },
    },
    rules: {
      ...hooks.configs.recommended.rules,
      ...a11y.flatConfigs.recommended.rules,
      // A field that opens where one has just asked for it has the keyboard.
      "jsx-a11y/no-autofocus": "off",
      "@typescript-eslint/no-explicit-any": "error",
      // Virtual lists hand out functions that the compiler cannot memoise; we do not use it.
      "react-hooks/incompatible-library": "off",
    },
  },
);
