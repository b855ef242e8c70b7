/** The section: a plane that cuts the display open, and nothing else. */
import Button from "@mui/material/Button";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { viewFrame } from "../../live/bench";
import { useLook } from "../../live/look";
import { SectionIcon } from "../../theme/icons";
import { AxisAt } from "./AxisAt";

export function SectionCard() {
  const { section, set } = useLook();
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap" }}>
        <Stack direction="row" spacing={0.75} sx={{ alignItems: "center", color: "primary.main" }}>
          <SectionIcon />
          <Typography variant="h3" sx={{ color: "text.primary" }}>Section</Typography>
        </Stack>
        <AxisAt
          label="Cut across"
          words="across"
          read="Cut across"
          slider="Section at"
          value={section}
          piece={null}
          onChange={(value) => {
            // What lies before the plane is cut away, so that one looks in; another place keeps the side.
            const flip = value && (value.axis === section?.axis ? section.flip : viewFrame.current[2][value.axis] < 0);
            set({ section: value && { ...value, flip: flip ?? false } });
          }}
        />
        {section && (
          <>
            <Button onClick={() => set({ section: { ...section, flip: !section.flip } })}>Other side</Button>
            <Button onClick={() => set({ section: null })}>Whole again</Button>
          </>
        )}
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        Choose an axis; drag the bead on the form or the slider. Only the display is cut: nothing that lies behind the plane is picked.
      </Typography>
    </>
  );
}
