import type { StationId } from "./tool";

export const stationName = (id: StationId): string => stations.find((station) => station.id === id)?.name ?? id;

/** The seven places of the work, in the order in which people do it. */
export const stations: { id: StationId; name: string; about: string }[] = [
  { id: "set-out", name: "Set out", about: "Pictures and components to build around" },
  { id: "rough", name: "Rough", about: "Put down the first faces" },
  { id: "shape", name: "Shape", about: "Push and pull the cage" },
  { id: "refine", name: "Refine", about: "Add control: loops, cuts, creases" },
  { id: "relief", name: "Relief", about: "Brushes and stamps: detail that rides on the cage" },
  { id: "prove", name: "Prove", about: "Check walls, fits and sizes" },
  { id: "make", name: "Make", about: "Turn the form into a solid" },
];
