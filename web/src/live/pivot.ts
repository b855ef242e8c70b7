/** The pivot, laid where something is picked. */
import { middleOf } from "../model/measure";
import { pieces } from "./pieces";
import { usePicking } from "./stores/picking";
import { useShow } from "./stores/show";

export function pivotToPicked(): void {
  const { piece, pickKind, picked } = usePicking.getState();
  const arrays = piece ? pieces.byId.get(piece) : undefined;
  if (arrays && picked.length) useShow.setState({ pivot: middleOf(arrays.cage, pickKind, picked) });
}
