/** Bring a cage in from a file. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "cage-in", name: "Cage from a file", station: "set-out", section: "Into pieces", order: 90, also: "import OBJ open file", hint: "", files: [".obj", ".ply", ".usd", ".usda", ".usdc", ".stl", ".glb", ".3mf"], card: "CageInCard",
  icon: drawn(["M4 8l6-4 8 2v5", "M4 8l7 3 7-5", "M4 8v8l7 4v-9", "M15 20l3-4 3 4M18 16v6"]),
});
