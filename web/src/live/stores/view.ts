/** Where the main view is seen from, as last drawn. Written by the viewport with every frame, and asked by tools. */
import type { View } from "../../model/context";
import { world } from "../../model/vec";

export const view: View = { frame: world, eye: null, pixel: 1, target: [0, 0, 0], tall: 100, field: null };
