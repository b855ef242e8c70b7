/** On the card of a repeat: its images moved on by half a step, and back, in one click. */
import Button from "@mui/material/Button";
import { change } from "../../live/tooling";
import { useSession } from "../../live/stores/session";

export default function HalfStep() {
  const phase = useSession((s) => Number(s.values.phase));
  const between = phase === 50;
  return (
    <Button size="small" color="inherit" aria-pressed={between} sx={{ mt: 0.5 }} onClick={() => change({ phase: between ? 0 : 50 })}>
      {between ? "Back onto the steps" : "Half a step on"}
    </Button>
  );
}
