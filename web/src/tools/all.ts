import { stations } from "../stations/stations";
import type { AnyFollower } from "../live/types";
import type { Tool } from "./tool";

/** Files of these folders that hold a tool; the others hold what tools share. */
const modules = import.meta.glob<{ tool?: Tool }>(["./*.ts", "./*.tsx", "./followers/*.ts", "./followers/*.tsx", "!./all.ts"], { eager: true });

const place = (tool: Tool) => stations.findIndex((station) => station.id === tool.station);

/** By station in the order of the work, then by the tools' own order. */
export const tools: Tool[] = Object.values(modules)
  .flatMap((module) => module.tool ?? [])
  .sort((a, b) => place(a) - place(b) || a.order - b.order);

export const toolById = (id: string | null): Tool | null => tools.find((tool) => tool.id === id) ?? null;

/** The tool by which a follower is made and changed. */
export const toolForFollower = (follower: AnyFollower): Tool | null => tools.find((tool) => tool.follows?.includes(follower.kind)) ?? null;

export const initialValues = (tool: Tool): Record<string, number> =>
  Object.fromEntries(tool.fields.map((field) => [field.name, field.initial]));
