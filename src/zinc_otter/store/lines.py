"""A design's line of steps, from the first to the tip, seen through a window: it may be as long as it likes."""

from __future__ import annotations

from dataclasses import dataclass

from sqlalchemy import func, select
from sqlalchemy.orm import Session

from zinc_otter.store.models import StepRow
from zinc_otter.studio.shelf import StepFacts

EARLIER, LATER = 150, 50
"""Steps that are handed out before and after the present one."""


@dataclass(frozen=True)
class Line:
    """Some steps that follow each other, and how many of the line come before and after them."""

    steps: tuple[StepFacts, ...]
    earlier: int
    later: int

    @classmethod
    def around(cls, session: Session, design_id: str, number: int) -> Line:
        """The part of a line about the step of a number."""
        steps = line_of(session, design_id, number - EARLIER, number + LATER)
        ends = select(func.min(StepRow.number), func.max(StepRow.number)).where(
            StepRow.design_id == design_id, StepRow.on_line
        )
        first, last = session.execute(ends).one()
        return cls(tuple(steps), steps[0].number - first, last - steps[-1].number)


def line_of(session: Session, design_id: str, low: int, high: int) -> list[StepFacts]:
    """The steps of a line with numbers from ``low`` to ``high``."""
    columns = (StepRow.id, StepRow.number, StepRow.title, StepRow.created_at, StepRow.aside)
    within = (StepRow.design_id == design_id, StepRow.on_line, StepRow.number.between(low, high))
    found = session.execute(select(*columns).where(*within).order_by(StepRow.number)).all()
    seen = select(func.count()).where(StepRow.design_id == design_id, StepRow.on_line, StepRow.aside, StepRow.number < low)
    passed = session.scalar(seen) or 0
    steps = []
    for r in found:
        passed += r.aside
        steps.append(StepFacts(r.id, r.number, r.title, r.created_at, r.aside, r.number - passed))
    return steps
