/** Where the keys go: between the form and the card of the tool in hand. */
const card = () => document.querySelector<HTMLElement>("[aria-label='Tool card']");
const form = () => document.querySelector<HTMLElement>("[data-testid=viewport]");
const takesKeys = "input:not(:disabled):not([type=hidden]), [role=combobox]:not([aria-disabled=true]), button:not(:disabled)";

/** Give the keys to the first thing on the card that takes them, or to the form where there is none. */
export function focusCard(): void {
  const first = card()?.querySelector<HTMLElement>(takesKeys) ?? form();
  first?.focus({ preventScroll: true });
}

/** From the form to the card, and from anywhere on the card back. */
export function changePlace(): void {
  if (card()?.contains(document.activeElement)) form()?.focus({ preventScroll: true });
  else focusCard();
}
