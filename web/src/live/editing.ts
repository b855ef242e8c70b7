/** A follower taken in hand again. */
import { toolForFollower } from "../tools/all";
import { useBench } from "./bench";
import { useFollowers } from "./followers";
import type { AnyFollower } from "./types";

/** Take up a follower's tool with its numbers, to change it. */
export function editFollower(piece: string, follower: AnyFollower): void {
  const tool = toolForFollower(follower);
  if (!tool?.reads) return;
  useBench.getState().takeTool(tool.id);
  useFollowers.setState({ editing: { piece, follower } });
  useBench.setState({ piece });
  const { values, setValues } = useBench.getState();
  setValues({ ...values, ...tool.reads(follower) });
}
