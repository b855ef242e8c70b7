/** What the service was asked and has not answered yet; told on the page, for whoever drives it from outside. */
const open = new Set<object>();

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
