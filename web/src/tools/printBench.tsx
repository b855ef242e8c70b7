/** Hand the body to the simulated print bench. */
import { PrintBenchCard } from "../panels/cards/PrintBenchCard";
import { PrintBenchIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "print-bench",
  name: "Print bench",
  station: "make",
  section: "Hand over",
  order: 60,
  Icon: PrintBenchIcon,
  hint: "",
  needs: "piece",
  verb: "Hand over",
  fields: [],
  Card: PrintBenchCard,
};
