"""A recipe made in the kernel, step by step, each in a child process and checked against the mesh route."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace

import numpy as np
from OCP.TopoDS import TopoDS_Shape

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import KernelError
from zinc_otter.core.proof.crossing import crossing_faces
from zinc_otter.core.proof.rays import Rays
from zinc_otter.core.solid.brep import build_solid
from zinc_otter.core.solid.fitting import fit_patches
from zinc_otter.core.solid.followers.base import PIECE, Follower, Measured, OnKernel, WaitsError
from zinc_otter.core.solid.imported import step_of
from zinc_otter.core.solid.kernel.check import accepted, exact_volume, near_volume, vouched_for
from zinc_otter.core.solid.kernel.limits import Limited, unlimited
from zinc_otter.core.solid.kernel.operations import offset_solid
from zinc_otter.core.solid.kernel.shape import (
    NamedShape,
    compound,
    extent,
    joined_triangles,
    one_name,
    reach_of,
    solids_of,
    triangulated,
)  # fmt: skip
from zinc_otter.core.solid.mesh.route import Done, Made, sentence
from zinc_otter.core.solid.patches import Patches
from zinc_otter.core.solid.recipe import Note, Recipe, as_solid, in_order
from zinc_otter.core.solid.thicken import grown
from zinc_otter.core.words import length_words

STEP_SECONDS = 90.0


@dataclass(frozen=True, eq=False)
class KernelMade:
    """The body, what became of each follower, its exact volume (mm³), and the patches of the cage that it began from."""

    body: NamedShape
    notes: tuple[Note, ...]
    volume: float
    patches: Patches


def made_in_kernel(
    recipe: Recipe,
    by_mesh: Made,
    seconds: float = STEP_SECONDS,
    progress: Callable[[float, str], None] = lambda _, __: None,
    imported: Callable[[bytes], TopoDS_Shape] | None = None,
    *,
    within: Limited = unlimited,
) -> KernelMade:
    """The body of a recipe as a B-rep.

    Each step is run ``within`` a limit of ``seconds``. ``imported`` reads the STEP files of solids that were brought in.
    ``by_mesh`` is what the mesh route made of it: steps that it could not do are passed over with its notes, the others
    must change the volume as much as there. Raises OpenCageError, and KernelError naming the step that did not hold.
    """
    cage, followers, notes = as_solid(recipe)
    _refuse_crossing(cage)
    progress(0.02, "Fitting patches to the surface")
    patches = fit_patches(cage)
    body = within("Building faces and edges", seconds, lambda: one_name(build_solid(patches), PIECE))
    volume = within("Measuring the form", seconds, lambda: near_volume(body))
    done: list[Follower] = []
    maker = _Maker(recipe, imported)
    known = {note.follower: note for note in by_mesh.notes}
    for i, follower in enumerate(followers):
        note = known[follower.id]
        if note.status != "done" and not (note.unchecked and follower.vouches):
            notes.append(note)
            continue
        progress(0.1 + 0.8 * i / len(followers), f"{follower.called} in the solid kernel")
        at = maker.given(cage, body, tuple(done))
        if note.unchecked:
            step = KernelStep(follower, body, at, volume, None, 0.0)
        else:
            there = by_mesh.done[follower.id]
            follower = there.follower
            step = KernelStep.checked(there, body, at, volume)
        try:
            body, volume = within(follower.called, seconds * follower.patience, step)
        except WaitsError as error:
            notes.append(Note(follower.id, "waits", str(error), error.place))
            continue
        except KernelError as error:
            raise error.saying(sentence(follower, error)) from None
        done.append(follower)
        words = f"{follower.called} was made by the kernel alone, without a second opinion. {note.words}"
        notes.append(Note(follower.id, "done", words if note.unchecked else note.words, note.place))
    volume = within("Measuring the body", seconds, lambda: exact_volume(body))
    return KernelMade(body, in_order(recipe, notes), volume, patches)


def made_apart(made: KernelMade, places: Floats) -> KernelMade:
    """Images of a body under motions (k, 4, 4), side by side, not united where they meet."""
    images = [made.body.moved(place) for place in places]
    solids = [solid for image in images for solid in solids_of(image.shape)]
    names = tuple(name for image in images for name in image.names)
    return replace(made, body=NamedShape(compound(solids), names), volume=len(images) * made.volume)


@dataclass(frozen=True, eq=False)
class KernelStep:
    """One follower's work and its check, to be done in a child process.

    ``change`` is None where the mesh route cannot tell.
    """

    follower: Follower
    body: NamedShape
    at: OnKernel
    before: float
    change: float | None
    allowed: float

    @classmethod
    def checked(cls, there: Done, body: NamedShape, at: OnKernel, volume: float) -> KernelStep:
        """The step as it was done on the mesh route, which its change of ``volume`` (mm³) is held against."""
        # What the routes differed by before may be part of what is changed now.
        allowed = there.follower.slack(there.before, there.after) + abs(volume - there.before)
        return cls(there.follower, body, at, volume, there.after - there.before, allowed)

    def holds(self) -> None:
        """Do it, and let go of what was made. Raises KernelError where it would not be taken."""
        self()

    def __call__(self) -> tuple[NamedShape, float]:
        made = self.follower.on_kernel(self.body, self.at)
        if self.change is None:
            return made, vouched_for(self.follower.called, made, self.before, self.follower.change_within(self.body))
        return made, accepted(self.follower.called, made, self.before, self.change, self.allowed)


@dataclass(frozen=True, eq=False)
class _Maker:
    """Makes the bodies that a recipe's followers ask for."""

    recipe: Recipe
    imported: Callable[[bytes], TopoDS_Shape] | None

    def given(self, cage: Cage, body: NamedShape, done: Sequence[Follower]) -> OnKernel:
        reach = 2 * reach_of(body) + float(np.abs(cage.positions).max())
        return OnKernel(reach, self.other, self.solid, self.recipe.sheet, lambda by: self.deeper(cage, done, by))

    def other(self, piece: str, by: float) -> NamedShape:
        """Another piece's body, grown by so many mm."""
        if piece not in self.recipe.others:
            raise WaitsError("The other piece is gone.")
        maker = _Maker(self.recipe.others[piece], self.imported)
        cage, followers, _ = as_solid(maker.recipe)
        fixed: list[Follower] = []
        body = maker.chain(cage, followers, fixed)
        return maker.deeper(cage, fixed, -by) if by else body

    def solid(self, asset: str, by: float) -> NamedShape:
        """An imported solid, grown by so many mm."""
        if asset not in self.recipe.solids or self.imported is None:
            raise WaitsError("The imported solid is not at hand.")
        body = one_name(self.imported(step_of(self.recipe.solids[asset])), PIECE)
        return offset_solid(body, by) if by else body

    def deeper(self, cage: Cage, followers: Sequence[Follower], by: float) -> NamedShape:
        """What lies ``by`` mm inside of the body that the followers give, made of shifted parts."""
        shifted: list[Follower] = []
        here = by
        for follower in reversed(followers):
            here /= follower.scale
            moved = follower.deeper(here)
            if moved is not None:
                shifted.append(moved)
        inner = grown(cage, -here)
        _refuse_crossing(inner, f"The inner wall of {length_words(here)}")
        return self.chain(inner, shifted[::-1], [])

    def chain(self, cage: Cage, followers: Sequence[Follower], done: list[Follower]) -> NamedShape:
        """All followers one after another, with no check between; what was ``done`` is added there."""
        body = one_name(build_solid(fit_patches(cage)), PIECE)
        for follower in followers:
            before = body
            of = Measured(lambda: extent(before), lambda: _rays(before), self.recipe.stones_of)  # noqa: B023
            try:
                settled = follower.measured(of)
                body = settled.on_kernel(before, self.given(cage, before, tuple(done)))
            except WaitsError:
                continue
            done.append(settled)
        return body


def _rays(body: NamedShape) -> Rays:
    made = triangulated(body, 3e-4 * reach_of(body))
    return Rays(*joined_triangles(body, made))


def _refuse_crossing(cage: Cage, what: str = "The form") -> None:
    faces = crossing_faces(cage, 2 if cage.topology.face_count < 600 else 1)
    if len(faces):
        raise KernelError(f"{what} runs through itself at {len(faces)} faces; the kernel is not asked.", faces=faces)
