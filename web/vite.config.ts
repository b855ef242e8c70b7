import react from "@vitejs/plugin-react";
import { copyFileSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { brotliCompressSync, constants, gzipSync } from "node:zlib";
import { defineConfig } from "vite";
import { notices } from "./scripts/notices.mjs";

/** The service's own documentation page uses these; they are shipped, not fetched. */
const documentation = {
  name: "documentation",
  closeBundle() {
    mkdirSync("dist/assets/docs", { recursive: true });
    for (const file of ["swagger-ui-bundle.js", "swagger-ui.css"])
      copyFileSync(`node_modules/swagger-ui-dist/${file}`, `dist/assets/docs/${file}`);
  },
};

/** Packed once, here, as tightly as it goes, instead of at every request. */
const packed = {
  name: "packed",
  closeBundle() {
    for (const file of readdirSync("dist/assets", { recursive: true, encoding: "utf8" })) {
      if (!/\.(js|css|svg)$/.test(file)) continue;
      const data = readFileSync(`dist/assets/${file}`);
      writeFileSync(`dist/assets/${file}.gz`, gzipSync(data, { level: 9 }));
      writeFileSync(`dist/assets/${file}.br`, brotliCompressSync(data, { params: { [constants.BROTLI_PARAM_QUALITY]: 10 } }));
    }
  },
};

export default defineConfig({
  plugins: [react(), documentation, notices([`${import.meta.dirname}/node_modules/swagger-ui-dist/swagger-ui.css`]), packed],
  build: { chunkSizeWarningLimit: 2000 },
  server: { proxy: { "/api": { target: "http://127.0.0.1:8420", ws: true } } },
});
