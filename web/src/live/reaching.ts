/** What the reach adds up to has changed: the preview and the colours follow. */
import { weigh } from "./line";
import { type ReachStore, useReach } from "./stores/reach";
import { again } from "./tooling";

export function changeReach(change: Partial<ReachStore>): void {
  useReach.setState(change);
  again();
  weigh();
}
