/** State that belongs to something, such as the form that it was found for: of something else there is none yet. */
import { useCallback, useState } from "react";

export function useFor<T>(what: string): [T | null, (value: T | null) => void] {
  const [kept, setKept] = useState<{ what: string; value: T | null } | null>(null);
  const set = useCallback((value: T | null) => setKept({ what, value }), [what]);
  return [kept?.what === what ? kept.value : null, set];
}
