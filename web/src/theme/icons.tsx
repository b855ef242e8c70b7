/** Icons of our own drawing: one pen, 1.6 wide, on a 24 grid. */
import SvgIcon, { type SvgIconProps } from "@mui/material/SvgIcon";

const drawn = (paths: string[], dots: [number, number][] = []) =>
  function Icon(props: SvgIconProps) {
    return (
      <SvgIcon {...props} viewBox="0 0 24 24">
        <g fill="none" stroke="currentColor" strokeWidth={1.6} strokeLinecap="round" strokeLinejoin="round">
          {paths.map((d) => (
            <path key={d} d={d} />
          ))}
        </g>
        {dots.map(([x, y]) => (
          <circle key={`${x} ${y}`} cx={x} cy={y} r={1.7} fill="currentColor" />
        ))}
      </SvgIcon>
    );
  };

export const BoxIcon = drawn(["M4 9.500l7-4 9 3v8l-7 4.500-9-3.500z", "M4 9.500l9 3.500 7-4.500", "M13 13v8"]);
export const PlaneIcon = drawn(["M3 15l6-7h12l-6 7z", "M6 11.500h12", "M9 15l6-7"]);
export const MoveIcon = drawn(["M5 19L17 7", "M11.500 6.500L17.500 6.500 17.500 12.500"], [[5, 19]]);
export const TurnIcon = drawn(["M5 15a7.500 7.500 0 1 1 4 4.600", "M4 9.500l1 5.500 5-2"], [[12, 12]]);
export const SizeIcon = drawn(["M4 20h7v-7H4z", "M14 10l6-6", "M15 4h5v5", "M11 9.500V6M18 13v-.5"]);
export const ExtrudeIcon = drawn(["M4 20c0-3 3-4 5-4V8h6v8c2 0 5 1 5 4", "M12 5V2", "M10.500 3.500L12 2l1.500 1.500"]);
export const CreaseIcon = drawn(["M3 17c4 0 6-2 9-9 3 7 5 9 9 9", "M12 8v10"], [[12, 8]]);
export const DeleteIcon = drawn(["M5 6l14 13", "M19 6L5 19"]);
export const SolidIcon = drawn(["M12 3c5 0 8 4 8 9s-3 9-8 9-8-4-8-9 3-9 8-9z", "M8.500 12.500l2.500 2.500 5-5.500"]);
export const UndoIcon = drawn(["M9 7L4 11l5 4", "M4 11h9a6 6 0 0 1 6 6v1"]);
export const RedoIcon = drawn(["M15 7l5 4-5 4", "M20 11h-9a6 6 0 0 0-6 6v1"]);
export const ShownIcon = drawn(["M2.500 12c3-5 6-7 9.500-7s6.500 2 9.500 7c-3 5-6 7-9.500 7s-6.500-2-9.500-7z"], [[12, 12]]);
export const HiddenIcon = drawn(["M3 10c3 4 6 5 9 5s6-1 9-5", "M6 13.500L4.500 16", "M12 15v3", "M18 13.500l1.500 2.500"]);
export const PenIcon = drawn(["M4 20l1-5L16 4l4 4L9 19z", "M13.500 6.500l4 4"]);
export const MoreIcon = drawn([], [
  [12, 5.5],
  [12, 12],
  [12, 18.5],
]);
export const FitIcon = drawn(["M4 9V5h4M16 5h4v4M20 15v4h-4M8 19H4v-4"], [[12, 12]]);
export const KeysIcon = drawn(["M3 7h18v10H3z", "M7 14h10", "M7 10.500h.1M11 10.500h.1M15 10.500h.1"]);
export const FoldIcon = drawn(["M9 5l7 7-7 7"]);
