/** Where the keys go: between the form and the card of the tool in hand. */
const card = () => document.querySelector<HTMLElement>("[aria-label='Tool card']");
const form = () => document.querySelector<HTMLElement>("[data-testid=viewport]");
/** What takes keys on a card, numbers before deeds, and what folds it last. */
const takesKeys = [
  "input:not(:disabled):not([type=hidden]), [role=combobox]:not([aria-disabled=true])",
  "button:not(:disabled):not([aria-expanded])",
  "button",
];

/** Give the keys to the first number on the card, or to what else takes them; to the form where there is nothing. */
export function focusCard(): void {
  const first = takesKeys.map((kind) => card()?.querySelector<HTMLElement>(kind)).find(Boolean) ?? form();
  first?.focus({ preventScroll: true });
}

/** From the form to the card, and from anywhere on the card back. */
export function changePlace(): void {
  if (card()?.contains(document.activeElement)) form()?.focus({ preventScroll: true });
  else focusCard();
}
