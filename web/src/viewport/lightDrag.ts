/** The light turned about the upright, and made brighter or darker, by a drag. */
import { show } from "../live/stores/show";

/** Degrees, and doublings of brightness, for a pixel. */
const [turning, brightening] = [0.5, 0.01];
/** As far as the sliders in Look go. */
const most = 2;

/** What shines moves with the hand: to the right, and brighter upwards. */
export function dragLight(dx: number, dy: number): void {
  show(({ light }) => ({
    light: {
      ...light,
      turn: ((((light.turn + turning * dx + 180) % 360) + 360) % 360) - 180,
      stops: Math.min(most, Math.max(-most, light.stops - brightening * dy)),
    },
  }));
}
