import type { Tool } from "./tool";

const modules = import.meta.glob<{ tool: Tool }>(["./*.ts", "./*.tsx", "!./all.ts", "!./tool.ts"], { eager: true });

export const tools: Tool[] = Object.values(modules)
  .map((module) => module.tool)
  .sort((a, b) => a.order - b.order);

export const toolById = (id: string | null): Tool | null => tools.find((tool) => tool.id === id) ?? null;

export const initialValues = (tool: Tool): Record<string, number> =>
  Object.fromEntries(tool.fields.map((field) => [field.name, field.initial]));
