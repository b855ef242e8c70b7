/** Cards of tools by the names of their files; each is fetched when it is first shown. */
import { type ComponentType, lazy } from "react";
import type { CardProps } from "../model/tool";


const files = import.meta.glob<{ default: ComponentType<CardProps> }>("./cards/*.tsx");
const cards = new Map(Object.entries(files).map(([path, load]) => [path.slice(path.lastIndexOf("/") + 1, -4), lazy(load)]));

/** Raises an error where there is no such card: a tool names one that was never written. */
export function cardNamed(name: string): ComponentType<CardProps> {
  const card = cards.get(name);
  if (!card) throw new Error(`There is no card ${name} in panels/cards.`);
  return card;
}

export const cardNames = (): string[] => [...cards.keys()];
