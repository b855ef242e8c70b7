/** Bring in a component to build around. */
import { componentDrawing } from "../../model/drawings";
import { card } from "../../model/tool";

export const tool = card({ id: "component", name: "Component", station: "set-out", order: 20, icon: componentDrawing, also: "import STEP STL mesh scan points open file part", hint: "", files: [".stl", ".obj", ".ply", ".glb", ".3mf", ".xyz", ".step", ".stp"], card: "ComponentCard" });
