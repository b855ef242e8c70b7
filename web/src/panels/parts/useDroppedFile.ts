/** The file of a card: the one that was dropped onto the window for it, until another is chosen. */
import { useEffect, useState } from "react";
import { useDropped } from "../../live/stores/dropped";

export function useDroppedFile(): [File | null, (file: File | null) => void] {
  // Only looked at while drawing: what is drawn may be thrown away before it is ever seen, and the file with it.
  const [first] = useState(() => useDropped.getState().file);
  const [file, setFile] = useState(first);
  useEffect(() => {
    if (first && useDropped.getState().file === first) useDropped.setState({ file: null });
  }, [first]);
  return [file, setFile];
}
