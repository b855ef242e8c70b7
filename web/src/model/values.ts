/** The values on a card of any tool; inside a tool they have its own types. */
export type Values = Readonly<Record<string, unknown>>;
