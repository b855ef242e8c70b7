/** The section: a plane that cuts the display open, and nothing else. */
import Button from "@mui/material/Button";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { show, useShow } from "../../live/stores/show";
import { view } from "../../live/stores/view";
import { AxisAt } from "../parts/AxisAt";
import type { CardProps } from "../../model/tool";
import { CardHead } from "../parts/CardHead";

export default function SectionCard({ tool }: CardProps) {
  const section = useShow((s) => s.section);
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap" }}>
        <CardHead drawing={tool.icon}>Section</CardHead>
        <AxisAt
          label="Cut across"
          words="across"
          read="Cut across"
          slider="Section at"
          value={section}
          piece={null}
          onChange={(value) => {
            // What lies before the plane is cut away, so that one looks in; another place keeps the side.
            const flip = value && (value.axis === section?.axis ? section.flip : view.frame[2][value.axis] < 0);
            show({ section: value && { ...value, flip: flip ?? false } });
          }}
        />
        {section && (
          <>
            <Button onClick={() => show({ section: { ...section, flip: !section.flip } })}>Other side</Button>
            <Button onClick={() => show({ section: null })}>Whole again</Button>
          </>
        )}
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        Choose an axis; drag the bead on the form or the slider. Only the display is cut: nothing that lies behind the plane is picked.
      </Typography>
    </>
  );
}
