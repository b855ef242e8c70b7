/** On the card of a ring with a free profile: three corners of one side, dragged, moved with the arrow keys, or typed; the other side is their mirror image. */
import Box from "@mui/material/Box";
import Stack from "@mui/material/Stack";
import { useRef, useState } from "react";
import { useSession } from "../../live/stores/session";
import { change } from "../../live/tooling";
import type { NumberField as Field } from "../../model/fields";
import { colours } from "../../theme/colours";
import { NumberField } from "../parts/NumberField";

/** Out and to the side, shares of the section, and how sharp. */
type Corner = readonly [out: number, across: number, sharp: number];

const names = ["Inner corner", "Side corner", "Outer corner"] as const;
const [width, height, pad] = [150, 84, 8];
const at = (out: number, across: number): [number, number] => [width / 2 + across * (width / 2 - pad), height - pad - out * (height - 2 * pad)];
const within = (x: number, low: number, high: number) => Number(Math.min(high, Math.max(low, x)).toFixed(3));

const share = (label: string, min: number): Field => ({ is: "number", label, unit: "%", initial: 0, step: 5, min, max: 100 });
const sharpness = (label: string): Field => ({ is: "number", label, unit: "", initial: 0, step: 0.5, min: 0, max: 10 });
const fields = { out: share("Out", 0), across: share("To the side", 2), sharp: sharpness("Sharp"), ridge: sharpness("Ridge") };

export default function RingSection() {
  const free = useSession((s) => s.values.profile === "free" && s.values.shape === "ring");
  const ridge = useSession((s) => Number(s.values.ridge));
  const corners = useSession((s) => s.values.section) as readonly Corner[];
  const host = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<number | null>(null);
  const [shown, setShown] = useState(1);
  if (!free) return null;
  const put = (k: number, [out, across, sharp]: Corner) => {
    const low = k === 0 ? 0 : corners[k - 1][0];
    const high = k === 2 ? 1 : corners[k + 1][0];
    const one: Corner = [within(out, low, high), within(across, 0.02, 1), sharp];
    change({ section: corners.map((corner, i) => (i === k ? one : corner)) });
  };
  const drag = (event: React.PointerEvent) => {
    if (held === null || !host.current) return;
    const { left, top } = host.current.getBoundingClientRect();
    put(held, [1 - (event.clientY - top - pad) / (height - 2 * pad), (event.clientX - left - width / 2) / (width / 2 - pad), corners[held][2]]);
  };
  const side = corners.map(([out, across]) => at(out, across));
  const other = corners.map(([out, across]) => at(out, -across));
  const outline = [at(0, 0), ...side, at(1, 0), ...other.reverse()];
  const [out, across, sharp] = corners[shown];
  return (
    <Stack direction="row" spacing={1.25} sx={{ alignItems: "center", mt: 1 }}>
      <Box component="svg" ref={host} role="group" aria-label="Section of the ring, its outside up" width={width} height={height} onPointerMove={drag} onPointerUp={() => setHeld(null)} sx={{ border: 1, borderColor: "divider", borderRadius: 1, touchAction: "none" }}>
        <polygon points={outline.map((p) => p.join(",")).join(" ")} fill={colours.paper} stroke={colours.river} strokeWidth={1.4} />
        {side.map(([cx, cy], k) => (
          <circle
            key={names[k]}
            cx={cx}
            cy={cy}
            r={5}
            fill={k === shown ? colours.selection : colours.river}
            tabIndex={0}
            role="slider"
            aria-label={names[k]}
            aria-valuenow={Math.round(corners[k][0] * 100)}
            aria-valuetext={`${Math.round(corners[k][0] * 100)} % out, ${Math.round(corners[k][1] * 100)} % to the side`}
            style={{ cursor: "grab" }}
            onFocus={() => setShown(k)}
            onPointerDown={(event) => {
              host.current?.setPointerCapture(event.pointerId);
              setShown(k);
              setHeld(k);
            }}
            onKeyDown={(event) => {
              const by = { ArrowUp: [0.05, 0], ArrowDown: [-0.05, 0], ArrowLeft: [0, -0.05], ArrowRight: [0, 0.05] }[event.key];
              if (!by) return;
              event.preventDefault();
              event.stopPropagation();
              put(k, [corners[k][0] + by[0], corners[k][1] + by[1], corners[k][2]]);
            }}
          />
        ))}
      </Box>
      <Stack direction="row" spacing={1} role="group" aria-label={names[shown]}>
        <NumberField field={fields.out} value={100 * out} onChange={(v) => put(shown, [v / 100, across, sharp])} />
        <NumberField field={fields.across} value={100 * across} onChange={(v) => put(shown, [out, v / 100, sharp])} />
        <NumberField field={fields.sharp} value={sharp} onChange={(v) => put(shown, [out, across, v])} />
      </Stack>
      <NumberField field={fields.ridge} value={ridge} onChange={(v) => change({ ridge: v })} />
    </Stack>
  );
}
