/** Numbers that stand on a card and are wrong: while there is one, nothing is applied. */
import { create } from "zustand";

interface WrongStore {
  /** By the field's own id, what leads the eye and the keys to it. */
  fields: Readonly<Record<string, () => void>>;
}

const useWrong = create<WrongStore>(() => ({ fields: {} }));

/** A field is wrong; the answer sets it right again. */
export function markWrong(id: string, focus: () => void): () => void {
  useWrong.setState(({ fields }) => ({ fields: { ...fields, [id]: focus } }));
  return () => useWrong.setState(({ fields: { [id]: _, ...others } }) => ({ fields: others }));
}

export const useAnyWrong = (): boolean => useWrong((s) => Object.keys(s.fields).length > 0);

/** Give the keys to the first number that is wrong; false where there is none. */
export function goToWrong(): boolean {
  const first = Object.values(useWrong.getState().fields).at(0);
  first?.();
  return first !== undefined;
}
