/** Counts the picked that cannot be seen, once the eye and the hand rest. */
import { picksShown } from "../live/context";
import { useDesign } from "../live/stores/design";
import { setHidden, usePicking } from "../live/stores/picking";
import { useShow } from "../live/stores/show";
import type { Picker } from "./picking";
import type { PieceView } from "./pieceView";

const rest = 200;
/** More would be felt while they are counted. */
const atMost = 20_000;

interface Looks {
  view(id: string | null): PieceView | null;
  picker(through: boolean): Picker;
}

export class HiddenPicks {
  private timer = 0;

  constructor(private readonly scene: Looks) {}

  /** The view, the form or the picked have changed. */
  later(): void {
    clearTimeout(this.timer);
    // What a drag shows is counted once it is kept.
    if (useDesign.getState().preview) return;
    this.timer = window.setTimeout(() => setHidden(this.count()), rest);
  }

  private count(): number {
    const { kind, ids } = picksShown();
    const view = this.scene.view(usePicking.getState().piece);
    if (!view || kind === "piece" || ids.length > atMost || useShow.getState().compare) return 0;
    const { sight } = this.scene.picker(false);
    return ids.filter((id) => !sight.sees(view, kind, id)).length;
  }

  dispose(): void {
    clearTimeout(this.timer);
  }
}
