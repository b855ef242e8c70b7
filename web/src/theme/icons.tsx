/** Icons of our own drawing: one pen, 1.6 wide, on a 24 grid. */
import SvgIcon, { type SvgIconProps } from "@mui/material/SvgIcon";
import { boxDrawing, componentDrawing, mirrorDrawing, penDrawing, pictureDrawing, planeDrawing } from "../model/drawings";
import { type Drawing, drawn } from "../model/tool";

export function DrawingIcon({ drawing: { lines, dots }, ...props }: SvgIconProps & { drawing: Drawing }) {
  return (
    <SvgIcon {...props} viewBox="0 0 24 24">
      <g fill="none" stroke="currentColor" strokeWidth={1.6} strokeLinecap="round" strokeLinejoin="round">
        {lines.map((d) => (
          <path key={d} d={d} />
        ))}
      </g>
      {dots.map(([x, y]) => (
        <circle key={`${x} ${y}`} cx={x} cy={y} r={1.7} fill="currentColor" />
      ))}
    </SvgIcon>
  );
}

const iconOf = (drawing: Drawing) =>
  function Icon(props: SvgIconProps) {
    return <DrawingIcon drawing={drawing} {...props} />;
  };

export const BoxIcon = iconOf(boxDrawing);
export const PlaneIcon = iconOf(planeDrawing);
export const PenIcon = iconOf(penDrawing);
export const PictureIcon = iconOf(pictureDrawing);
export const ComponentIcon = iconOf(componentDrawing);
export const MirrorIcon = iconOf(mirrorDrawing);
export const UndoIcon = iconOf(drawn(["M9 7L4 11l5 4", "M4 11h9a6 6 0 0 1 6 6v1"]));
export const RedoIcon = iconOf(drawn(["M15 7l5 4-5 4", "M20 11h-9a6 6 0 0 0-6 6v1"]));
export const ShownIcon = iconOf(drawn(["M2.500 12c3-5 6-7 9.500-7s6.500 2 9.500 7c-3 5-6 7-9.500 7s-6.500-2-9.500-7z"], [[12, 12]]));
export const HiddenIcon = iconOf(drawn(["M3 10c3 4 6 5 9 5s6-1 9-5", "M6 13.500L4.500 16", "M12 15v3", "M18 13.500l1.500 2.500"]));
export const MoreIcon = iconOf(drawn([], [ [12, 5.5], [12, 12], [12, 18.5], ]));
export const FitIcon = iconOf(drawn(["M4 9V5h4M16 5h4v4M20 15v4h-4M8 19H4v-4"], [[12, 12]]));
export const KeysIcon = iconOf(drawn(["M3 7h18v10H3z", "M7 14h10", "M7 10.500h.1M11 10.500h.1M15 10.500h.1"]));
export const FoldIcon = iconOf(drawn(["M9 5l7 7-7 7"]));
export const LockedIcon = iconOf(drawn(["M6 11h12v9H6z", "M9 11V8a3 3 0 0 1 6 0v3"], [[12, 15]]));
export const GrowsIcon = iconOf(drawn(["M12 21c0-7-1-11 3-16", "M13 12c-5 1-8-1-9-5 5-1 8 1 9 5z", "M13 16c4 0 6-2 7-5-4 0-6 2-7 5z"]));
export const StickIcon = iconOf(drawn(["M3 18c5-5 13-5 18 0", "M4 13c4-4.500 12-4.500 16 0", "M12 3v4"], [[12, 9.500]]));
export const FreeIcon = iconOf(drawn(["M6 11h12v9H6z", "M9 11V7a3 3 0 0 1 5.500-1.600"]));
