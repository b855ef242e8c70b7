/** The main view as picking needs it: where it is seen from, and how large it is in pixels. */
import type { Camera, Vector3 } from "three";

export interface Screen {
  camera: Camera;
  width: number;
  height: number;
  /** What the view turns about, and the direction towards the eye. */
  middle: Vector3;
  back: Vector3;
}
