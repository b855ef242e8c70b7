/** The falloff as a small curve whose points can be dragged, or moved with the arrow keys: near on the left, far on the right. */
import Box from "@mui/material/Box";
import { useRef, useState } from "react";
import type { CurvePoint, Profile } from "../../live/stores/reach";
import { colours } from "../../theme/colours";

const [width, height, pad] = [104, 44, 5];

const named: Record<Exclude<Profile, "drawn">, (s: number) => number> = {
  smooth: (s) => 1 - s * s * (3 - 2 * s),
  sharp: (s) => (1 - s) ** 2,
  round: (s) => Math.sqrt(Math.max(0, 1 - s * s)),
  flat: () => 1,
  linear: (s) => 1 - s,
};

const toScreen = ([s, share]: CurvePoint): [number, number] => [pad + s * (width - 2 * pad), height - pad - share * (height - 2 * pad)];
const within = (x: number, low: number, high: number) => Math.min(high, Math.max(low, x));

interface Given {
  profile: Profile;
  /** Of a drawn one. */
  curve: CurvePoint[];
  /** Of what it is the profile: "reach", "brush". */
  of: string;
  onChange(curve: CurvePoint[]): void;
}

export function ProfileCurve({ profile, curve, of, onChange }: Given) {
  const host = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<number | null>(null);
  const steps = Array.from({ length: 33 }, (_, i) => i / 32);
  const line: CurvePoint[] = profile === "drawn" ? curve : steps.map((s) => [s, named[profile](s)]);
  // To draw one's own, the named curve is taken up with a few of its points.
  const points: CurvePoint[] = profile === "drawn" ? curve : [0, 0.35, 0.65, 1].map((s) => [s, named[profile](s)]);
  const move = (i: number, to: CurvePoint) => {
    const low = i === 0 ? 0 : points[i - 1][0] + 0.03;
    const high = i === points.length - 1 ? 1 : points[i + 1][0] - 0.03;
    const ends = i === 0 ? 0 : i === points.length - 1 ? 1 : within(to[0], low, high);
    onChange(points.map((p, k) => (k === i ? [Number(ends.toFixed(3)), Number(within(to[1], 0, 1).toFixed(3))] : p)));
  };
  const at = (event: React.PointerEvent): CurvePoint => {
    const { left, top } = host.current?.getBoundingClientRect() ?? { left: 0, top: 0 };
    return [(event.clientX - left - pad) / (width - 2 * pad), 1 - (event.clientY - top - pad) / (height - 2 * pad)];
  };
  return (
    <Box
      component="svg"
      ref={host}
      role="group"
      aria-label={`Profile of the ${of}`}
      width={width}
      height={height}
      onPointerMove={(event: React.PointerEvent) => held !== null && move(held, at(event))}
      onPointerUp={() => setHeld(null)}
      sx={{ border: 1, borderColor: "divider", borderRadius: 1, touchAction: "none" }}
    >
      <polyline points={line.map((p) => toScreen(p).join(",")).join(" ")} fill="none" stroke={colours.river} strokeWidth={1.6} />
      {points.map((point, i) => {
        const [cx, cy] = toScreen(point);
        return (
          <circle
            key={i}
            cx={cx}
            cy={cy}
            r={4}
            fill={colours.selection}
            tabIndex={0}
            role="slider"
            aria-label={`Profile point ${i + 1}`}
            aria-valuenow={Math.round(point[1] * 100)}
            aria-valuetext={`${Math.round(point[1] * 100)} % at ${Math.round(point[0] * 100)} % of the ${of}`}
            style={{ cursor: "grab" }}
            onPointerDown={(event) => {
              host.current?.setPointerCapture(event.pointerId);
              setHeld(i);
            }}
            onKeyDown={(event) => {
              const by = { ArrowUp: [0, 0.05], ArrowDown: [0, -0.05], ArrowLeft: [-0.05, 0], ArrowRight: [0.05, 0] }[event.key];
              if (!by) return;
              event.preventDefault();
              event.stopPropagation();
              move(i, [point[0] + by[0], point[1] + by[1]]);
            }}
          />
        );
      })}
    </Box>
  );
}
