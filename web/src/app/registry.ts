/** All tools: files of these folders that hold one. The other files hold what tools share. */
import { Registry } from "../model/registry";
import type { Tool } from "../model/tool";

const modules = import.meta.glob<{ tool?: Tool }>("../tools/*/*.ts", { eager: true });

export const registry = new Registry(Object.values(modules).flatMap((module) => module.tool ?? []));
