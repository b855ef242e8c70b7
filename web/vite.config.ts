import react from "@vitejs/plugin-react";
import { copyFileSync, mkdirSync } from "node:fs";
import { defineConfig } from "vite";

/** The service's own documentation page uses these; they are shipped, not fetched. */
const documentation = {
  name: "documentation",
  closeBundle() {
    mkdirSync("dist/assets/docs", { recursive: true });
    for (const file of ["swagger-ui-bundle.js", "swagger-ui.css"])
      copyFileSync(`node_modules/swagger-ui-dist/${file}`, `dist/assets/docs/${file}`);
  },
};

export default defineConfig({
  plugins: [react(), documentation],
  build: { chunkSizeWarningLimit: 2000 },
  server: { proxy: { "/api": { target: "http://127.0.0.1:8420", ws: true } } },
});
