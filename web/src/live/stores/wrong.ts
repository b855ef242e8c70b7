/** Numbers that stand on a card and are wrong, or not read yet: while there is one, nothing is applied. */
import { create } from "zustand";

export interface Doubt {
  /** It is only not known yet what it says. */
  unread: boolean;
  /** Lead the eye and the keys to it. */
  focus(): void;
}

interface WrongStore {
  /** By the field's own id. */
  fields: Readonly<Record<string, Doubt>>;
}

const useWrong = create<WrongStore>(() => ({ fields: {} }));

/** A field is in doubt; the answer sets it right again. */
export function markWrong(id: string, doubt: Doubt): () => void {
  useWrong.setState(({ fields }) => ({ fields: { ...fields, [id]: doubt } }));
  return () => useWrong.setState(({ fields: { [id]: _, ...others } }) => ({ fields: others }));
}

export const useAnyWrong = (): boolean => useWrong((s) => Object.keys(s.fields).length > 0);

/** Whether one is wrong for sure, which is to be said. */
export const useAnyMistake = (): boolean => useWrong((s) => Object.values(s.fields).some((one) => !one.unread));

/** Give the keys to the first number that is wrong; false where there is none. */
export function goToWrong(): boolean {
  const first = Object.values(useWrong.getState().fields).at(0);
  first?.focus();
  return first !== undefined;
}
