/** The palette: paper, wet clay, zinc, otter brown, and the viewport's own signals. */
export const colours = {
  paper: "#F4F1EA",
  card: "#FBFAF6",
  ink: "#22282B",
  zinc: "#5F6C73",
  zincLight: "#C9CED0",
  otter: "#6B4A36",
  river: "#1F6F78",
  selection: "#B0307A",
  hover: "#D2699F",
  crease: "#D99A00",
  open: "#B5622F",
  fault: "#B3261E",
  axisX: "#9C4A2F",
  axisY: "#4F7A45",
  axisZ: "#2E6593",
} as const;
