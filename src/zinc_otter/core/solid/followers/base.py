"""What a follower is: one step from the form to the solid, on both routes."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import astuple, dataclass
from typing import TYPE_CHECKING, ClassVar

import numpy as np

from zinc_otter.core.cage.cage import LARGEST_LENGTH, Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError, CoreError
from zinc_otter.core.numbers_of import numbers_of
from zinc_otter.core.proof.rays import Rays
from zinc_otter.core.remark import Remark
from zinc_otter.core.solid.mesh.body import MeshBody, Name
from zinc_otter.core.stone.stone import Stone

if TYPE_CHECKING:
    from zinc_otter.core.solid.kernel.shape import NamedShape

PIECE: Name = "piece"
"""The name of all faces that the piece itself makes."""

NameOf = Callable[[str], str]
"""What people call a piece or a follower, by its id; the piece itself by ``PIECE``."""

EdgeName = tuple[Name, Name]
"""Edges by what made the faces on both sides; a name with itself means its sharp bends, "" stands for anything else."""


class WaitsError(CoreError):
    """A follower has nothing to work on at present: an edge or a piece that it names is not there."""

    kind = "waits"
    title = "A follower waits"


@dataclass(frozen=True)
class OnMesh:
    """What a follower is given on the mesh route.

    ``chord`` mm is how far triangles may keep from what they stand for, ``budget`` about how many triangles a grid may
    give, ``other`` makes another piece's body, ``solid`` an imported one's; ``sheet`` gives another piece's open cage, and
    ``surface`` points, triangles and each one's face of a cage.
    """

    chord: float
    budget: int
    other: Callable[[str], MeshBody]
    solid: Callable[[str], MeshBody]
    sheet: Callable[[str], Cage]
    surface: Callable[[Cage], tuple[Floats, Ints, Ints]]


@dataclass(frozen=True)
class OnKernel:
    """What a follower is given on the kernel route.

    ``reach`` mm is more than the body's extent; ``other`` makes another piece's body grown by so many mm, ``solid`` an
    imported one's; ``sheet`` gives another piece's open cage; ``deeper`` this piece's body up to this follower, made anew
    so many mm further in.
    """

    reach: float
    other: Callable[[str, float], NamedShape]
    solid: Callable[[str, float], NamedShape]
    sheet: Callable[[str], Cage]
    deeper: Callable[[float], NamedShape]


@dataclass(frozen=True)
class Measured:
    """What a follower can ask of the body that it is to work on, and of stones that are laid on it: the ``size`` (3,) in mm,
    ``rays`` through it, and by the id of their piece the ``stones`` with where they lie (k, 4, 4) each."""

    size: Callable[[], Floats]
    rays: Callable[[], Rays]
    stones: Callable[[str], Sequence[tuple[Stone, Floats]]]


@dataclass(frozen=True)
class Follower:
    """One step. ``id`` is its name for what refers to it; ``name`` is for people; one that is not ``on`` is passed over."""

    what: ClassVar[str]
    """What it is called when it has no name of its own."""

    vouches: ClassVar[bool] = False
    """Whether ``change_within`` can be told, so that the kernel may make it where the mesh route cannot check it."""

    patience: ClassVar[float] = 1.0
    """How many times as long as others it may take in the kernel."""

    id: str = ""
    name: str = ""
    on: bool = True

    def __post_init__(self) -> None:
        """Raises BadNumberError for a number that is not finite or too large; further checks are the kinds' own."""
        if not all(np.isfinite(number) and abs(number) <= LARGEST_LENGTH for number in numbers_of(astuple(self))):
            raise BadNumberError(f"{self.called}: a number is not finite, or larger than {LARGEST_LENGTH:g}.")

    @property
    def called(self) -> str:
        return self.name or self.what

    def deed(self, name_of: NameOf) -> str:
        """What it does, in words that begin a sentence; ``name_of`` calls pieces, followers and their own piece by name."""
        return f"{self.what} {name_of(PIECE)}"

    @property
    def pieces(self) -> tuple[str, ...]:
        """The other pieces that it takes part of."""
        return ()

    @property
    def solids(self) -> tuple[str, ...]:
        """The imported solids that it takes part of."""
        return ()

    def on_cage(self, cage: Cage) -> Cage | None:
        """What it makes of a cage that is no solid yet; None when it works on solids only. Raises CoreError."""
        return None

    def on_mesh(self, body: MeshBody, at: OnMesh) -> MeshBody:
        """Its work on triangles. Raises WaitsError, CoreError."""
        raise NotImplementedError

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        """Its work on a B-rep; called in a worker process. Raises WaitsError, CoreError."""
        raise NotImplementedError

    @property
    def set_stones(self) -> tuple[str, ...]:
        """The pieces of stones that it holds."""
        return ()

    def measured(self, of: Measured) -> Follower:
        """The follower with what it takes from the body and its stones settled: a body further in is treated alike.

        Raises WaitsError, CoreError.
        """
        return self

    def judged(self, made: MeshBody) -> Remark | None:
        """What is to be said of what it made, once it is there."""
        return None

    @property
    def scale(self) -> float:
        """By what it scales all lengths; known once it is ``measured``."""
        return 1.0

    def deeper(self, by: float) -> Follower | None:
        """The step that gives, on a body ``by`` mm further in, what lies ``by`` mm inside of this step's result.

        None where such a step does nothing. A hollow follows the body so: wall by wall it is built of shifted parts,
        which holds where offsetting the finished B-rep fails.
        """
        return self

    def change_within(self, body: NamedShape) -> tuple[float, float]:
        """Between what bounds (mm³) the step changes a body's volume, where that can be told without doing it.

        They vouch for what the kernel makes where the mesh route cannot check it.
        """
        return 0.0, 0.0

    def slack(self, before: float, after: float) -> float:
        """By how much (mm³) the routes may differ in what the step changes, from the volumes before and after it.

        The mesh route's triangles lie inside of what bends outwards, here by less than a thousandth of the volume.
        """
        return 0.01 * abs(after - before) + 1e-3 * max(before, after)
