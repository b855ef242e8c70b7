/** Drawings that more than one place shows. */
import { drawn } from "./tool";

export const boxDrawing = drawn(["M4 9.500l7-4 9 3v8l-7 4.500-9-3.500z", "M4 9.500l9 3.500 7-4.500", "M13 13v8"]);
export const planeDrawing = drawn(["M3 15l6-7h12l-6 7z", "M6 11.500h12", "M9 15l6-7"]);
export const penDrawing = drawn(["M4 20l1-5L16 4l4 4L9 19z", "M13.500 6.500l4 4"]);
export const pictureDrawing = drawn(["M3 5h18v14H3z", "M3 16l5-5 4 4 3-3 6 5"], [[16, 9]]);
export const componentDrawing = drawn(["M8 5h8v15H8z", "M10.500 5V3h3v2", "M4 8v9M20 8v9"]);
export const mirrorDrawing = drawn(["M12 3v18", "M9 7c-5 0-6 3-6 5s1 5 6 5z", "M15 7c5 0 6 3 6 5s-1 5-6 5z"]);
export const thickenDrawing = drawn(["M4 20C4 9 9 4 20 4", "M9 20c0-8 3-11 11-11", "M4 20h5M20 4v5"]);
export const chamferDrawing = drawn(["M4 20V10l6-6h10", "M4 13l9-9", "M9 20v-8l3-3h8"]);
export const spaceDrawing = drawn(["M3 16C7 7 17 7 21 16"], [[3, 16], [8, 10.5], [16, 10.5], [21, 16]]);
export const aroundDrawing = drawn(["M12 9.500c-3-3-2-6.500 0-6.500s3 3.500 0 6.500z", "M14.200 13.300c1.100-4.100 4.600-5 5.600-3.200s-1.500 4.300-5.600 3.200z", "M9.800 13.300c-4.100 1.100-6.600-1.500-5.600-3.200s4.500-.9 5.600 3.200z", "M12 15v6"]);
export const sizeDrawing = drawn(["M4 20h7v-7H4z", "M14 10l6-6", "M15 4h5v5", "M11 9.500V6M18 13v-.5"]);
