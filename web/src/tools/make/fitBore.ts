import { drawn, verb } from "../../model/tool";
import type { AnyFollower } from "../../model/types";
import { directionOf, towards, towardsValues, typedShown } from "../shared/directions";
import { choice, length, parameter } from "../shared/fields";

type Fit = Extract<AnyFollower, { kind: "fit-bore" }>;

const cut = (v: { how?: unknown }) => v.how === "cut";

export const tool = verb({
  id: "fit-bore",
  name: "Fit bore",
  station: "make",
  section: "Stones",
  order: 68,
  icon: drawn(["M12 4c4.500 0 8 3.500 8 8s-3.500 8-8 8-8-3.500-8-8 3.500-8 8-8z", "M8 12h8", "M10 10l-2 2 2 2", "M14 10l2 2-2 2"]),
  also: "ring size finger inner diameter",
  hint: "Cut, the bore stays what it is whatever is pulled outside. Moved, the form itself takes the size, once.",
  needs: "piece",
  verb: "Fit",
  fields: {
    diameter: parameter("move-bore", "diameter", { initial: 17.3 }),
    how: choice("By", { cut: "cutting, always", inside: "moving the inside", all: "moving all, sections kept" }),
    ...towards("axis", "About", "+z"),
    x: length("Through x", 0, { more: true }),
    y: length("Through y", 0, { more: true }),
    z: length("Through z", 0, { more: true }),
  },
  shown: { ...typedShown("axis", cut), x: cut, y: cut, z: cut },
  begins: {
    kind: "move-bore",
    read(told) {
      const [x, y, z] = (told.point as number[] | undefined) ?? [0, 0, 0];
      const along = told.along as [number, number, number] | undefined;
      return { ...(told.diameter === undefined ? {} : { diameter: told.diameter as number }), x, y, z, ...(along ? towardsValues("axis", along) : {}) };
    },
  },
  follows: ["fit-bore"],
  reads(follower) {
    const f = follower as Fit;
    const [x, y, z] = f.point ?? [0, 0, 0];
    return { diameter: f.diameter, how: "cut", x, y, z, ...towardsValues("axis", f.along ?? [0, 0, 1]) };
  },
  command(v, { piece, editing }) {
    if (!piece) return null;
    if (v.how !== "cut") return { kind: "move-bore", piece: piece.id, diameter: v.diameter, moved: v.how };
    const along = directionOf(v, "axis");
    if (!along) return null;
    const made: Fit = { kind: "fit-bore", id: "", name: "", on: true, diameter: v.diameter, point: [v.x, v.y, v.z], along };
    if (editing?.piece !== piece.id) return { kind: "add-follower", piece: piece.id, follower: made, before: null };
    const { id, name, on } = editing.follower;
    return { kind: "change-follower", piece: piece.id, follower: { ...made, id, name, on } };
  },
});
