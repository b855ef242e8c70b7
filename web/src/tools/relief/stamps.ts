import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "stamps",
  name: "Stamps",
  station: "relief",
  section: "Stamps",
  order: 43,
  icon: drawn(["M8 12c0-2-1.500-3-1.500-5a5.500 4 0 0 1 11 0c0 2-1.500 3-1.500 5", "M5 12h14v4H5z", "M4 20h16"]),
  also: "height map picture import export alpha",
  hint: "",
  files: [".png"],
  card: "StampsCard",
});
