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
export const CylinderIcon = drawn(["M5 6c0-1.700 3-3 7-3s7 1.300 7 3-3 3-7 3-7-1.300-7-3z", "M5 6v12c0 1.700 3 3 7 3s7-1.300 7-3V6"]);
export const ConeIcon = drawn(["M9 4.500c0-.8 1.400-1.500 3-1.500s3 .7 3 1.500L20 18c0 1.700-3.500 3-8 3s-8-1.300-8-3z", "M4 18c0-1.700 3.500-3 8-3s8 1.300 8 3"]);
export const SphereIcon = drawn(["M12 3a9 9 0 1 0 0 18 9 9 0 0 0 0-18z", "M8 8c2-1 6-1 8 0 1 2 1 6 0 8-2 1-6 1-8 0-1-2-1-6 0-8z", "M8 8L5.700 5.700M16 8l2.300-2.300M8 16l-2.300 2.300M16 16l2.300 2.300"]);
export const PoledSphereIcon = drawn(["M12 3a9 9 0 1 0 0 18 9 9 0 0 0 0-18z", "M12 3c-4 3-4 15 0 18 4-3 4-15 0-18z", "M3.500 9.500h17M3.500 14.500h17"]);
export const TorusIcon = drawn(["M12 6.500c5 0 9 2.500 9 5.500s-4 5.500-9 5.500-9-2.500-9-5.500 4-5.500 9-5.500z", "M8 11.500c.8 1.300 7.200 1.300 8 0", "M9 12c1-1.200 5-1.200 6 0"]);
export const TubeIcon = drawn(["M4 7c0-2 3.500-3.500 8-3.500s8 1.500 8 3.500-3.500 3.500-8 3.500S4 9 4 7z", "M8.500 7c0-.8 1.500-1.400 3.500-1.400s3.500.6 3.500 1.400-1.500 1.400-3.500 1.400S8.500 7.800 8.500 7z", "M4 7v10c0 2 3.500 3.500 8 3.500s8-1.500 8-3.500V7"]);
export const CapsuleIcon = drawn(["M7 8a5 5 0 0 1 10 0v8a5 5 0 0 1-10 0z", "M7 8c1.500 1.500 8.500 1.500 10 0M7 16c1.500 1.500 8.500 1.500 10 0"]);
export const OutlineIcon = drawn(["M6 5c5-3 13-2 14 4s-3 11-9 11S1 9 6 5z", "M8 9h7v6H8z", "M8 9L6 5M15 9l4-2M15 15l2 3M8 15l-3 1"]);
export const LayIcon = drawn(["M4 19l2-9 7 1-1 9z", "M13 11l7-2"], [[20, 9], [18, 18]]);
export const DrawIcon = drawn(["M4 16c1-7 5-11 9-9s6 8 2 11-11 2-11-2z"], [[6.5, 9.5], [17, 11], [8, 19.5]]);
export const PictureIcon = drawn(["M3 5h18v14H3z", "M3 16l5-5 4 4 3-3 6 5"], [[16, 9]]);
export const ComponentIcon = drawn(["M8 5h8v15H8z", "M10.500 5V3h3v2", "M4 8v9M20 8v9"]);
export const SectionIcon = drawn(["M12 4a8 8 0 0 0 0 16", "M12 2v20", "M15 6.500l4 2M15 11h5M15 16l4-1.500"]);
export const SnapIcon = drawn(["M3 8h18M3 16h18M8 3v18M16 3v18"], [[16, 8]]);
export const LockedIcon = drawn(["M6 11h12v9H6z", "M9 11V8a3 3 0 0 1 6 0v3"], [[12, 15]]);
export const FreeIcon = drawn(["M6 11h12v9H6z", "M9 11V7a3 3 0 0 1 5.500-1.600"]);
export const VariantIcon = drawn(["M5 8c0-3 6-3 6 0v9c0 3-6 3-6 0z", "M14 5.500c2-1 5 0 5 2.500v8c0 2.500-3 3.500-5 2.500"]);
export const CompareIcon = drawn(["M3 6h8v12H3z", "M13 6h8v12h-8z", "M5.500 14l3-4M15.500 14c0-3 3-1 3-4"]);
export const PushIcon = drawn(["M3 17c4-5 14-5 18 0", "M12 11V4", "M6.500 12.500L4.500 7", "M17.500 12.500L19.500 7"]);
export const InsetIcon = drawn(["M3 5h18v14H3z", "M8 9.500h8v5H8z", "M3 5l5 4.500M21 5l-5 4.500M3 19l5-4.500M21 19l-5-4.500"]);
export const ThickenIcon = drawn(["M4 20C4 9 9 4 20 4", "M9 20c0-8 3-11 11-11", "M4 20h5M20 4v5"]);
export const BridgeIcon = drawn(["M3 19h4v-4H3zM17 19h4v-4h-4z", "M5 15C5 5 19 5 19 15", "M8 15c0-5 8-5 8 0"]);
export const ZipIcon = drawn(["M5 3c0 7 6 6 7 11", "M19 3c0 7-6 6-7 11", "M12 14v7", "M6.500 8h3M17.500 8h-3"]);
export const WeldIcon = drawn(["M3 5l7 6M21 5l-7 6M12 21v-7"], [[12, 12]]);
export const FillIcon = drawn(["M12 3c5 0 9 4 9 9s-4 9-9 9-9-4-9-9 4-9 9-9z", "M8 4.500v15M16 4.500v15M4 9h16M4 15h16"]);
export const DetachIcon = drawn(["M3 4h8v8H3z", "M14 12h7v8h-7z", "M11 15l-3 3"]);
export const JoinIcon = drawn(["M3 8h9v9H3z", "M9 5h12v9h-9"]);
export const FlattenIcon = drawn(["M3 19h18", "M4 13c3-6 5-6 8-2s5 3 8-2", "M8 14v2.500M16 13v3.500"]);
export const LineUpIcon = drawn(["M3 17L21 7", "M6 9l1.500 5M13 17l-1.800-5M18 13l-1.300-3.500"], [[6, 8], [13, 18], [18, 14]]);
export const CircleIcon = drawn(["M12 4a8 8 0 1 0 0 16 8 8 0 0 0 0-16z"], [[12, 4], [19, 15.5], [5, 15.5]]);
export const AttractIcon = drawn(["M3 20c5-4 13-4 18 0", "M12 4v9", "M9.500 10.500L12 13l2.500-2.500"], [[12, 4]]);
export const MirrorIcon = drawn(["M12 3v18", "M9 7c-5 0-6 3-6 5s1 5 6 5z", "M15 7c5 0 6 3 6 5s-1 5-6 5z"]);
export const AroundIcon = drawn(["M12 9.500c-3-3-2-6.500 0-6.500s3 3.500 0 6.500z", "M14.200 13.300c1.100-4.100 4.600-5 5.600-3.200s-1.500 4.300-5.600 3.200z", "M9.800 13.300c-4.100 1.100-6.600-1.500-5.600-3.200s4.500-.9 5.600 3.200z", "M12 15v6"]);
export const NormalsIcon = drawn(["M4 16l8 4 8-4-8-4z", "M12 16V5", "M10 7l2-2.500L14 7"]);
export const HealIcon = drawn(["M3 5h18v14H3z", "M12 5v3M12 11v2M12 16v3"]);
export const LoopIcon = drawn(["M5 7c0-2 3.500-3.500 7-3.500S19 5 19 7s-3.500 3.500-7 3.500S5 9 5 7z", "M5 7v11c0 1.500 3 2.500 7 2.500s7-1 7-2.500V7", "M5 13.500c2 3 12 3 14 0"], [[12, 15.7]]);
export const RemoveLoopIcon = drawn(["M5 7c0-2 3.500-3.500 7-3.500S19 5 19 7s-3.500 3.500-7 3.500S5 9 5 7z", "M5 7v11c0 1.500 3 2.500 7 2.500s7-1 7-2.500V7", "M6 14.500l1.500.7M10.500 16h3M16.500 15.200l1.500-.7"]);
export const SplitIcon = drawn(["M3 5h18v14H3z", "M9 5v14M15 5v14M3 12h18"]);
export const KnifeIcon = drawn(["M3 8h18v12H3z", "M8 22L17 2", "M3 14h8.500M13 14h8"]);
export const ChamferIcon = drawn(["M4 20V10l6-6h10", "M4 13l9-9", "M9 20v-8l3-3h8"]);
export const SoftenIcon = drawn(["M3 18l6-12 6 12", "M11 18c4 0 5-6 6-6s2 6 4 6"]);
export const MatchIcon = drawn(["M4 15V6h9", "M8 19v-9h9", "M13 19h7M20 16v3"], [[8, 10]]);
export const SlideIcon = drawn(["M4 4c5 4 5 12 0 16", "M12 4c5 4 5 12 0 16", "M16.500 12H21M18.800 9.800L21 12l-2.200 2.200"]);
export const RelaxIcon = drawn(["M3 8c3-3 5 3 9 0s6 2 9 0", "M3 15c4-1 14-1 18 0", "M7 19h10"]);
export const SpaceIcon = drawn(["M3 16C7 7 17 7 21 16"], [[3, 16], [8, 10.5], [16, 10.5], [21, 16]]);
export const StraightenIcon = drawn(["M3 15c3-6 5 2 9-3s6-4 9-3", "M3 20h18"], [[3, 20], [12, 20], [21, 20]]);
export const SpinIcon = drawn(["M4 5h16v14H4z", "M4 5l16 14", "M15 6.500c2 .7 3 2 3.500 4M18.800 7.500l-.2 3.200-3-.8"]);
export const CollapseIcon = drawn(["M4 4l5 5M20 4l-5 5M4 20l5-5M20 20l-5-5", "M9 6v3H6M15 6v3h3M9 18v-3H6M15 18v-3h3"], [[12, 12]]);
export const ResampleIcon = drawn(["M3 6h7v12H3z", "M3 12h7", "M14 6h7v12h-7z", "M14 9h7M14 12h7M14 15h7M17.500 6v12"]);
export const CurvesIcon = drawn(["M3 18C8 6 16 6 21 18", "M6.500 12.500L3.500 9.500M12 9V3.500M17.500 12.500l3-3M9 10.200L7.500 5.500M15 10.200l1.500-4.700"]);
export const PaintIcon = drawn(["M3 20c4-1 6-4 8-8", "M11 12l3 3 6.500-8.500c1-1.500-1.500-3.700-2.800-2.500z", "M3 20c3 .6 6 .2 8-1.500"]);
export const CageFileIcon = drawn(["M4 8l6-4 8 2v7", "M4 8l7 3 7-5", "M4 8v8l7 4v-9", "M15 16l3 4 3-4M18 20v-6"]);
export const CombineIcon = drawn(["M9.500 4a6 6 0 1 0 3.200 11.100", "M14.500 8a6 6 0 1 1-4.200 10.300", "M14.500 8c-.6-2.300-2.500-4-5-4"], [[12, 12]]);
export const TrimIcon = drawn(["M5 13c0-6 3-9 7-9s7 3 7 9", "M3 13h18", "M6.500 16.500c1.500 2 3.200 3 5.500 3s4-1 5.500-3"]);
export const HollowIcon = drawn(["M4 6c2-2 14-2 16 0v9c0 4-3.500 6-8 6s-8-2-8-6z", "M8 7v7c0 2.300 1.700 3.500 4 3.500s4-1.200 4-3.500V7"]);
export const FilletIcon = drawn(["M4 4v16h16", "M4 9c0 6.500 4.500 11 11 11", "M11 13l3.500-3.500"]);
export const CageInIcon = drawn(["M4 8l6-4 8 2v5", "M4 8l7 3 7-5", "M4 8v8l7 4v-9", "M15 20l3-4 3 4M18 16v6"]);
export const PrintBenchIcon = drawn(["M4 20h16", "M7 16.500h10M7.500 13.500h9M8.500 10.500h7", "M12 3v4M10 5.500L12 7.500l2-2"]);
