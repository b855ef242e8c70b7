/** The control cage as a file. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "cage-file", name: "Cage file", station: "make", order: 18, also: "export OBJ PLY USD save", hint: "", card: "CageFileCard",
  icon: drawn(["M4 8l6-4 8 2v7", "M4 8l7 3 7-5", "M4 8v8l7 4v-9", "M15 16l3 4 3-4M18 20v-6"]),
});
