/** What Enter does on a card of its own that shows something before it is kept. */
import { useEffect } from "react";
import { useSession } from "../../live/stores/session";

/** While there is something to be kept, Enter keeps it, wherever the focus is but in a field. */
export function useEntered(keep: (() => void) | null): void {
  useEffect(() => {
    useSession.setState({ entered: keep });
    return () => useSession.setState({ entered: null });
  }, [keep]);
}
