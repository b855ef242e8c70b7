"""Relief that stays on a form while that becomes another: as it is on the same faces, else carried over by place."""

from __future__ import annotations

from dataclasses import replace

from zinc_otter.core.cage import Cage, Edit
from zinc_otter.core.form import Form
from zinc_otter.core.relief.carried_over import carried_over


def with_relief_kept(before: Cage, done: Edit) -> Edit:
    """The edit with the relief of the cage before it on the new one; its remarks say what of it is lost."""
    relief = before.relief
    if relief is None or done.cage.relief is not None or not done.cage.topology.face_count:
        return done
    if done.cage.topology.digest == before.topology.digest and done.old_to_new.stays:
        return replace(done, cage=done.cage.with_relief(relief))
    carried = carried_over(before, done.cage, done.rest)
    remarks = done.remarks if relief.is_flat else (*done.remarks, carried.words)
    return replace(done, cage=carried.cage, remarks=remarks)


def with_relief_of(before: Form, after: Form) -> Form:
    """A form with the relief of another one where it lies on that and has none."""
    return relief_told(before, after)[0]


def relief_told(before: Form, after: Form) -> tuple[Form, tuple[str, ...]]:
    """The same, and what of the relief is lost."""
    if not isinstance(before, Cage) or not isinstance(after, Cage):
        return after, ()
    if before.relief is None or after.relief is not None or not after.topology.face_count:
        return after, ()
    if after.topology.digest == before.topology.digest:
        return after.with_relief(before.relief), ()
    carried = carried_over(before, after)
    return carried.cage, () if before.relief.is_flat else (carried.words,)
