/** Rules for the front end: types, hooks, layers without circles, and functions that can be read. */
import js from "@eslint/js";
import { importX } from "eslint-plugin-import-x";
import { createTypeScriptImportResolver } from "eslint-import-resolver-typescript";
import hooks from "eslint-plugin-react-hooks";
import ts from "typescript-eslint";

/** Each layer imports those before it only. */
const layers = ["model", "theme", "live", "tools", ["panels", "viewport"], "app"].map((layer) => [layer].flat());
const below = (i) => layers.slice(0, i).flat();
const zones = layers.flatMap((layer, i) =>
  layer.map((name) => ({
    target: `./src/${name}`,
    from: "./src",
    // Tools are pure: what they need of the screen they are handed.
    except: (name === "tools" ? ["model", "tools"] : [name, ...below(i)]).map((folder) => `./${folder}`),
    message: `${name} may import ${name === "tools" ? "model" : below(i).join(", ") || "nothing of ours"} only.`,
  })),
);

export default ts.config(
  { ignores: ["dist", "scripts", "src/model/*.generated.*", "*.config.*"] },
  js.configs.recommended,
  ...ts.configs.recommendedTypeChecked,
  ...ts.configs.stylisticTypeChecked,
  hooks.configs.flat.recommended,
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { "import-x": importX },
    settings: { "import-x/resolver-next": [createTypeScriptImportResolver({ project: "./tsconfig.json" })] },
    linterOptions: { reportUnusedDisableDirectives: "error" },
    rules: {
      "import-x/no-cycle": "error",
      "import-x/no-self-import": "error",
      "import-x/no-duplicates": "error",
      "import-x/no-restricted-paths": ["error", { zones }],
      // Each "?." and "??" counts, and so does each condition in a component's markup.
      complexity: ["error", 20],
      "max-depth": ["error", 4],
      "max-lines": ["error", { max: 400, skipBlankLines: true, skipComments: true }],
      "max-params": ["error", 6],
      "no-restricted-properties": ["error", { object: "navigator", property: "webdriver", message: "Nothing asks whether a script drives it." }],
      "@typescript-eslint/consistent-type-imports": ["error", { fixStyle: "inline-type-imports" }],
      "@typescript-eslint/no-unused-vars": ["error", { argsIgnorePattern: "^_", varsIgnorePattern: "^_" }],
      // Callbacks are written as methods in interfaces, so that one with narrower parameters fits; none of them uses `this`.
      "@typescript-eslint/unbound-method": "off",
      "@typescript-eslint/consistent-type-definitions": "off",
      // Words and ids that are empty count as none.
      "@typescript-eslint/prefer-nullish-coalescing": ["error", { ignorePrimitives: { string: true }, ignoreTernaryTests: true }],
      // Where two questions are meant, two are asked.
      "@typescript-eslint/prefer-optional-chain": "off",
      "@typescript-eslint/restrict-template-expressions": ["error", { allowNumber: true }],
      "@typescript-eslint/no-non-null-assertion": "error",
    },
  },
);
