/** What the service was asked and has not answered yet; told on the page, for whoever drives it from outside. */
const open = new Set<object>();

/** Milliseconds that a preview took lately, from the question to its answer. */
let lately = 0;

export const tookLately = (): number => lately;
export const took = (time: number): void => {
  lately = lately ? 0.7 * lately + 0.3 * time : time;
};

const tell = () => {
  document.documentElement.dataset.asking = String(open.size);
};

export function asked(what: object): void {
  open.add(what);
  tell();
}

export function answered(what: object): void {
  open.delete(what);
  tell();
}
