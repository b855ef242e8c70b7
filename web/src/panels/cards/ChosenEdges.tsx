/** Shows on the body which edges the tool in hand means. */
import { useChosenEdges } from "../parts/useChosenEdges";

export default function ChosenEdges() {
  useChosenEdges();
  return null;
}
