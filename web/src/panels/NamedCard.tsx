/** A card by the name of its file, fetched when it is first shown. */
import { createElement, Suspense } from "react";
import type { CardProps } from "../model/tool";
import { cardNamed } from "./cards";

export function NamedCard({ name, tool }: CardProps & { name: string }) {
  return <Suspense fallback={null}>{createElement(cardNamed(name), { tool })}</Suspense>;
}
