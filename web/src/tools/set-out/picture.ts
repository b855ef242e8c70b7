/** Bring in a reference picture. */
import { pictureDrawing } from "../../model/drawings";
import { card } from "../../model/tool";

export const tool = card({ id: "picture", name: "Picture", station: "set-out", order: 10, icon: pictureDrawing, also: "import image photo sketch background", hint: "", files: [".png", ".jpg", ".jpeg", ".webp"], card: "PictureCard" });
