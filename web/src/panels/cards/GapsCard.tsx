/** The gaps between pieces, told with every frame while this card is open. */
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useEffect } from "react";
import { gapsBetween } from "../../live/line";
import { useDesign, useUnit } from "../../live/stores/design";
import { useGaps } from "../../live/stores/gaps";
import { usePicking } from "../../live/stores/picking";
import { useShallow } from "zustand/react/shallow";
import type { CardProps } from "../../model/tool";
import type { ShownGap } from "../../model/types";
import { lengthWords, type Unit } from "../../model/units";
import { CardHead } from "../parts/CardHead";
import { ShowWhere } from "../parts/ShowWhere";

const most = 10;

function gapWords({ state, distance }: ShownGap, unit: Unit): string {
  const wide = lengthWords(Math.abs(distance), unit);
  return { apart: `${wide} apart`, touch: "touch", overlap: `overlap by ${wide}` }[state];
}

export default function GapsCard({ tool }: CardProps) {
  const unit = useUnit();
  const picked = usePicking(useShallow((s) => (s.pickKind === "piece" && s.picked.length && s.piece ? [s.piece, ...s.others] : [])));
  // Those that are picked as wholes, else all that are shown.
  const meant = useDesign(useShallow((s) => (s.design?.pieces ?? []).filter((p) => !p.curve && (picked.length > 1 ? picked.includes(p.id) : p.visible)).map((p) => p.id)));
  const names = useDesign(useShallow((s) => Object.fromEntries((s.design?.pieces ?? []).map((p) => [p.id, p.name]))));
  const list = useGaps((s) => s.list).filter((gap) => gap.other !== null);
  const asked = meant.slice(0, most);
  const key = asked.join(" ");
  useEffect(() => {
    gapsBetween(key ? key.split(" ") : []);
  }, [key]);
  useEffect(() => () => gapsBetween([]), []);
  return (
    <>
      <CardHead drawing={tool.icon}>Gaps</CardHead>
      <Stack component="ul" role="status" data-testid="gaps" sx={{ m: 0, mt: 0.5, p: 0, listStyle: "none", maxHeight: 150, overflow: "auto" }}>
        {list.map((gap) => (
          <Typography component="li" variant="body2" key={`${gap.piece} ${gap.other}`} sx={{ color: gap.state === "overlap" ? "error.main" : undefined }}>
            {names[gap.piece]} and {names[gap.other ?? ""]}: {gapWords(gap, unit)} <ShowWhere piece={gap.piece} place={{ points: [gap.from] }} />
          </Typography>
        ))}
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        {asked.length < 2
          ? "It takes two pieces with faces, shown or picked as wholes."
          : `Of every two of ${picked.length > 1 ? "the picked" : "those that are shown"}${meant.length > most ? `, the first ${most} only` : ""}. Where the nearest two meet is marked.`}
      </Typography>
    </>
  );
}
