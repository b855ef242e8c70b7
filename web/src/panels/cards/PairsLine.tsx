/** On the card of placing by pairs: what the next click is. */
import Typography from "@mui/material/Typography";
import { useSketch } from "../../live/stores/sketch";
import { nextPoint } from "../../tools/set-out/placeByPairs";

export default function PairsLine() {
  const sketch = useSketch();
  return <Typography variant="body2" role="status" sx={{ mt: 0.75 }}>{nextPoint({ sketch })}</Typography>;
}
