/** The floor under what is shown: its grid, and the soft shadows of forms on it. */
import type { Scene as Three, Vector3 } from "three";
import type { Eye } from "./camera";
import { FloorShadow } from "./floorShadow";
import { Grid } from "./grid";
import type { PieceView } from "./pieceView";

export class Floor {
  readonly grid = new Grid();
  private readonly shadow = new FloorShadow();
  /** In mm. */
  height = 0;

  addTo(scene: Three): void {
    scene.add(this.grid.object, this.shadow.mesh);
  }

  /** It lies under what is shown, so that it never cuts through a form; the shadows are of those that have `faces`. */
  lay(views: PieceView[], corners: Iterable<Vector3>, bottom: number, shaded: boolean): void {
    let [lowest, highest] = [bottom, -Infinity];
    for (const view of views) {
      const { positions } = view.arrays.cage;
      for (let i = 2; i < positions.length; i += 3) {
        lowest = Math.min(lowest, positions[i]);
        highest = Math.max(highest, positions[i]);
      }
    }
    for (const { z } of corners) [lowest, highest] = [Math.min(lowest, z), Math.max(highest, z)];
    this.height = Number.isFinite(lowest) ? lowest - 0.03 * Math.max(highest - lowest, 10) : 0;
    this.shadow.lay(shaded ? views.filter((view) => view.hasFaces).map((view) => view.arrays.surface.positions) : [], this.height);
  }

  draw(eye: Eye): void {
    this.grid.lay(eye, this.height);
    // From below, and where a flat view is seen square from a side, nothing lies on a floor.
    this.shadow.mesh.material.opacity = eye.back.z > 0.02 ? 1 : 0;
  }

  dispose(): void {
    this.shadow.dispose();
  }
}
