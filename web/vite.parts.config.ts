/** Two builds for tests and benches: the parts that can be called without a screen, and the application with its names kept. */
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";

export default defineConfig(({ mode }) => ({
  plugins: [react()],
  publicDir: mode === "parts" ? false : "public",
  define: mode === "parts" ? { "process.env.NODE_ENV": JSON.stringify("production") } : {},
  build:
    mode === "parts"
      ? { outDir: "build/parts", emptyOutDir: true, lib: { entry: "parts.ts", name: "Parts", formats: ["iife"], fileName: () => "parts.js" } }
      : { outDir: "build/named", emptyOutDir: true, minify: false },
}));
