/** Hands each key to the row of the table that it means. */
import { useEffect } from "react";
import { usePicking } from "../live/stores/picking";
import { useDesign } from "../live/stores/design";
import { useShow } from "../live/stores/show";
import { type Holds, keyOf, type KeyRow, rowFor } from "../model/keys";

export function isTyping(target: EventTarget | null): target is HTMLElement {
  const at = target as HTMLElement;
  return at.tagName === "INPUT" || at.tagName === "TEXTAREA" || at.isContentEditable === true;
}

function holds(condition: Holds): boolean {
  if (condition === "always") return true;
  if (condition === "comparing") return useShow.getState().compare !== null;
  // A preview that stands is not nudged: its elements may be others.
  const picked = usePicking.getState().picked.length > 0 && !useDesign.getState().preview;
  return condition === "picked" ? picked : !picked;
}

function press(rows: KeyRow[], event: KeyboardEvent): void {
  const key = keyOf(event);
  if (!key) return;
  const at = event.target as HTMLElement;
  if (isTyping(at)) {
    // Keys belong to the form again.
    if (key !== "Escape") return;
    at.blur();
  }
  // A button that has the focus takes Enter itself.
  if (key === "Enter" && at.closest?.("button, [role=button], [role=option]")) return;
  const onForm = at === document.body || !!at.closest?.("[data-testid=viewport]");
  const row = rowFor(rows, key, onForm ? ["anywhere", "form"] : ["anywhere"], holds);
  if (!row?.act) return;
  row.act(key);
  event.preventDefault();
}

export function useKeys(rows: KeyRow[]): void {
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => press(rows, event);
    window.addEventListener("keydown", pressed);
    return () => window.removeEventListener("keydown", pressed);
  }, [rows]);
}
