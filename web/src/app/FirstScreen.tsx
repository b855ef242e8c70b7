import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Card from "@mui/material/Card";
import CardActionArea from "@mui/material/CardActionArea";
import IconButton from "@mui/material/IconButton";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import Paper from "@mui/material/Paper";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { NameField } from "../panels/parts/NameField";
import { download, Refused, service } from "../live/service";
import { keep, kept } from "../live/stores/kept";
import type { DesignCard } from "../model/types";
import { type Unit, unitNames, units } from "../model/units";
import { BoxIcon, MoreIcon, PenIcon, PlaneIcon } from "../theme/icons";
import { colours } from "../theme/colours";
import { type Attempt, Bin, JustBinned } from "./Bin";
import { useDrop } from "./drop";
import { Reading, Room } from "./Keeping";
import { go } from "./route";

export function FirstScreen() {
  const client = useQueryClient();
  const { data: designs, error } = useQuery({ queryKey: ["designs"], queryFn: service.designs });
  const [name, setName] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const [binned, setBinned] = useState<DesignCard | null>(null);
  const [unit, setUnit] = useState<Unit>(() => units.find((u) => u === kept("unit")) ?? "mm");

  const attempt = async (act: () => Promise<unknown>) => {
    setFault(null);
    try {
      await act();
    } catch (e) {
      setFault(e instanceof Refused ? e.message : String(e));
    }
    await client.invalidateQueries({ queryKey: ["designs"] });
  };

  const chooseUnit = (next: Unit) => {
    setUnit(next);
    keep("unit", next);
  };

  const begin = (tool: string | null) =>
    attempt(async () => {
      const made = await service.create(name.trim() || "New design", unit);
      go(`/design/${made.id}`);
      if (tool) sessionStorage.setItem("first tool", tool);
    });

  const openArchive = (file: File | undefined) =>
    attempt(async () => {
      if (file) go(`/design/${(await service.openArchive(file)).id}`);
    });

  useDrop((file) => {
    if (/\.otter$/i.test(file.name)) void openArchive(file);
    else setFault(`${file.name} is no archive of a design. Begin or open a design, and drop pictures, components and cages onto it there.`);
  });

  return (
    <Box component="main" sx={{ height: "100vh", overflow: "auto", bgcolor: "background.default" }}>
      <Box sx={{ maxWidth: 1120, mx: "auto", px: 4, py: 5 }}>
        <Stack direction="row" spacing={1.5} sx={{ alignItems: "center", mb: 0.5 }}>
          <Box component="img" src="/favicon.svg" alt="" sx={{ width: 44, height: 44 }} />
          <Typography variant="h1">Zinc Otter</Typography>
        </Stack>
        <Typography color="text.secondary" sx={{ mb: 4, maxWidth: 620 }}>
          Shape a form with few faces, look at it by eye and by number, and make it a solid. The cage stays alive all
          the way: whatever you made, you can still pull.
        </Typography>

        <Paper variant="outlined" sx={{ p: 2.5, mb: 4 }}>
          <Typography variant="h2" gutterBottom>
            Begin a new design
          </Typography>
          <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: "wrap", alignItems: "center" }}>
            <TextField
              label="Name"
              placeholder="New design"
              value={name}
              onChange={(event) => setName(event.target.value)}
              slotProps={{ htmlInput: { maxLength: 80 } }}
              sx={{ width: 260, bgcolor: "#fff" }}
            />
            <TextField select label="In" value={unit} onChange={(event) => chooseUnit(event.target.value as Unit)} sx={{ width: 130 }}>
              {units.map((u) => <MenuItem key={u} value={u}>{unitNames[u]}</MenuItem>)}
            </TextField>
            <Button variant="contained" startIcon={<BoxIcon />} onClick={() => void begin("box")}>
              with a box
            </Button>
            <Button variant="outlined" startIcon={<PlaneIcon />} onClick={() => void begin("plane")}>
              with a plane
            </Button>
            <Button variant="outlined" startIcon={<PenIcon />} onClick={() => void begin(null)}>
              empty
            </Button>
            <Button component="label" color="inherit">
              or from an archive…
              <input hidden type="file" accept=".otter" aria-label="Archive" onChange={(event) => void openArchive(event.target.files?.[0])} />
            </Button>
          </Stack>
        </Paper>

        {(fault !== null || error !== null) && (
          <Alert severity="error" sx={{ mb: 2 }}>
            {fault ?? error?.message}
          </Alert>
        )}
        {binned && <JustBinned design={binned} attempt={attempt} onDone={() => setBinned(null)} />}
        <Reading />
        <Typography variant="h2" gutterBottom>
          Designs
        </Typography>
        {designs?.length === 0 && (
          <Typography color="text.secondary">None yet. Begin one above; it is kept with every step you take.</Typography>
        )}
        <Box sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(300px, 1fr))", gap: 2.5 }}>
          {designs?.map((design) => (
            <DesignTile key={design.id} design={design} attempt={attempt} onBinned={() => setBinned(design)} />
          ))}
        </Box>
        <Bin attempt={attempt} />
        <Room />
      </Box>
    </Box>
  );
}

function DesignTile({ design, attempt, onBinned }: { design: DesignCard; attempt: Attempt; onBinned(): void }) {
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const [wantsName, setWantsName] = useState(false);
  const [renaming, setRenaming] = useState(false);
  const choose = (act: () => Promise<unknown>) => {
    setMenu(null);
    void attempt(act);
  };
  const steps = design.step_count === 1 ? "1 step" : `${design.step_count} steps`;
  const day = new Date(design.changed_at).toLocaleDateString("en-GB", { day: "numeric", month: "long" });
  return (
    <Card variant="outlined">
      <CardActionArea onClick={() => go(`/design/${design.id}`)} aria-label={`Open ${design.name}`}>
        <Box
          component="img"
          src={`/api/designs/${design.id}/picture.png?${design.revision}`}
          alt=""
          loading="lazy"
          sx={{ width: "100%", aspectRatio: "3 / 2", display: "block", borderBottom: `1px solid ${colours.zincLight}` }}
        />
      </CardActionArea>
      <Stack direction="row" sx={{ alignItems: "center", px: 2, py: 1 }}>
        <Box sx={{ flexGrow: 1, minWidth: 0 }}>
          {renaming ? (
            <NameField
              label="Design name"
              value={design.name}
              onDone={(name) => {
                setRenaming(false);
                setWantsName(false);
                if (name) void attempt(() => service.rename(design.id, name));
              }}
            />
          ) : (
            <Typography variant="h3" noWrap title={design.name}>
              {design.name}
            </Typography>
          )}
          <Typography variant="body2" color="text.secondary">
            {steps}, changed {day}
          </Typography>
        </Box>
        <IconButton aria-label={`More for ${design.name}`} onClick={(event) => setMenu(event.currentTarget)}>
          <MoreIcon />
        </IconButton>
        <Menu anchorEl={menu} open={menu !== null} onClose={() => setMenu(null)}
          // The menu holds the focus until it has closed; only then can the name field have it.
          disableRestoreFocus={wantsName}
          slotProps={{ transition: { onExited: () => setRenaming(wantsName) } }}
        >
          <MenuItem
            onClick={() => {
              setMenu(null);
              setWantsName(true);
            }}
          >
            Rename
          </MenuItem>
          <MenuItem onClick={() => choose(() => service.copy(design.id, `${design.name} copy`.slice(0, 80)))}>Copy</MenuItem>
          <MenuItem onClick={() => choose(() => download(service.archiveAddress(design.id), `${design.name}.otter`))}>Save as an archive</MenuItem>
          <MenuItem onClick={() => choose(async () => { await service.putInBin(design.id); onBinned(); })}>Put into the bin</MenuItem>
        </Menu>
      </Stack>
    </Card>
  );
}
