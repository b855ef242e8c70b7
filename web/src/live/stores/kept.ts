/** Choices that this browser keeps; without storage they hold until the page is left. */
const address = (name: string) => `zinc-otter.${name}`;

export function kept(name: string): string | null {
  try {
    return localStorage.getItem(address(name));
  } catch {
    return null;
  }
}

export function keep(name: string, said: string): void {
  try {
    localStorage.setItem(address(name), said);
  } catch {
    // Nothing is lost but the habit.
  }
}
