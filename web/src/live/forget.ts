/** What this screen remembers of one design means nothing in another. */
import { clearBodies } from "./bodies";
import { useCurves } from "./curves";
import { useEnds } from "./ends";
import { useFollowers } from "./followers";
import { useLook } from "./look";
import { useReach } from "./reach";

export function forgetDesign(): void {
  useLook.setState({ pivot: null, compare: null, isolated: false, section: null, reference: null, plane: "ground" });
  useEnds.setState({ far: null });
  useReach.setState({ within: null, weights: null });
  useCurves.setState({ section: null, seam: false, edges: false, list: [] });
  useFollowers.setState({ editing: null, solids: [] });
  clearBodies();
}
