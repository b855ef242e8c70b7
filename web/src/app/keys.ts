/** Hands each key to the row of the table that it means. */
import { useEffect } from "react";
import { usePicking } from "../live/stores/picking";
import { useDesign } from "../live/stores/design";
import { useShow } from "../live/stores/show";
import { type Holds, keyOf, type KeyRow, rowFor } from "../model/keys";

const notTyped = ["checkbox", "radio", "button", "file"];

/** Where letters are written; a box to be ticked takes none. */
export function isTyping(target: EventTarget | null): target is HTMLElement {
  const at = target as HTMLElement;
  if (at instanceof HTMLInputElement) return !notTyped.includes(at.type);
  return at.tagName === "TEXTAREA" || at.isContentEditable === true;
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
    // Undoing and doing again are meant for the design, also from its numbers; names have their own.
    const fromNumber = at.dataset.number !== undefined && ["Ctrl Z", "Ctrl Y", "Ctrl Shift Z"].includes(key);
    if (key !== "Escape" && key !== "F6" && !fromNumber) return;
    // Keys belong to the form again.
    if (key === "Escape") at.blur();
  }
  // A button that has the focus takes Enter itself.
  if (key === "Enter" && at.closest?.("button, [role=button], [role=option], [role=combobox]")) return;
  const onForm = at === document.body || !!at.closest?.("[data-testid=viewport]");
  const row = rowFor(rows, key, onForm ? ["anywhere", "form"] : ["anywhere"], holds);
  if (!row?.act) return;
  row.act(key);
  event.preventDefault();
}

/** A button that was pressed by mouse gives the keys back to the form; one that was pressed by a key keeps them. */
function letGo(event: MouseEvent): void {
  const button = (event.target as HTMLElement).closest?.<HTMLElement>("button, [role=button], input[type=checkbox]");
  if (!button || event.detail === 0 || document.activeElement !== button) return;
  // What was opened has keys of its own.
  if (button.ariaHasPopup === null && !button.closest("[role=dialog], [role=menu], [role=listbox]")) button.blur();
}

export function useKeys(rows: KeyRow[]): void {
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => press(rows, event);
    window.addEventListener("keydown", pressed);
    window.addEventListener("click", letGo);
    return () => {
      window.removeEventListener("keydown", pressed);
      window.removeEventListener("click", letGo);
    };
  }, [rows]);
}
