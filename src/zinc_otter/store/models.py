"""The tables. Steps form a tree by their parents; a design points at the present step and at the tip of its list.

The steps from the first to the tip are ``on_line``; their numbers follow each other without a gap.
"""

from __future__ import annotations

from datetime import datetime
from typing import Any

from sqlalchemy import JSON, BigInteger, DateTime, ForeignKey, Index, LargeBinary, String, false, text
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column


class Base(DeclarativeBase):
    pass


class DesignRow(Base):
    __tablename__ = "designs"

    id: Mapped[str] = mapped_column(String(32), primary_key=True)
    name: Mapped[str] = mapped_column(String(200))
    unit: Mapped[str] = mapped_column(String(8))
    created_at: Mapped[datetime] = mapped_column(DateTime)
    changed_at: Mapped[datetime] = mapped_column(DateTime, index=True)
    revision: Mapped[int]
    head_id: Mapped[int]
    tip_id: Mapped[int]
    binned_at: Mapped[datetime | None] = mapped_column(DateTime)


class StepRow(Base):
    __tablename__ = "steps"

    id: Mapped[int] = mapped_column(primary_key=True, autoincrement=True)
    design_id: Mapped[str] = mapped_column(ForeignKey("designs.id", ondelete="CASCADE"), index=True)
    parent_id: Mapped[int | None] = mapped_column(ForeignKey("steps.id", ondelete="CASCADE"))
    number: Mapped[int]
    title: Mapped[str] = mapped_column(String(400))
    command: Mapped[dict[str, Any] | None] = mapped_column(JSON)
    document: Mapped[dict[str, Any]] = mapped_column(JSON)
    selected: Mapped[dict[str, Any] | None] = mapped_column(JSON)
    created_at: Mapped[datetime] = mapped_column(DateTime)
    on_line: Mapped[bool] = mapped_column(default=True)
    aside: Mapped[bool] = mapped_column(default=False, server_default=false())

    __table_args__ = (
        Index("ix_steps_line", "design_id", "on_line", "number"),
        Index("ix_steps_parent", "parent_id"),
        # Few steps are: those before a window are counted by it.
        Index("ix_steps_aside", "design_id", "number", sqlite_where=text("aside")),
    )


class BlobRow(Base):
    __tablename__ = "blobs"

    hash: Mapped[str] = mapped_column(String(64), primary_key=True)
    data: Mapped[bytes] = mapped_column(LargeBinary)


class AssetRow(Base):
    __tablename__ = "assets"

    hash: Mapped[str] = mapped_column(String(64), primary_key=True)
    kind: Mapped[str] = mapped_column(String(20))
    facts: Mapped[dict[str, Any]] = mapped_column(JSON)
    created_at: Mapped[datetime] = mapped_column(DateTime)


class BlobUseRow(Base):
    """That some step of a design names an array or asset; with the last use what it names can go."""

    __tablename__ = "blob_uses"

    design_id: Mapped[str] = mapped_column(String(32), primary_key=True)
    hash: Mapped[str] = mapped_column(String(64), primary_key=True, index=True)


class MadeFileRow(Base):
    """A file that the application made beside the database and can make again: the record by which it is swept."""

    __tablename__ = "made_files"

    path: Mapped[str] = mapped_column(String(200), primary_key=True)
    design_id: Mapped[str] = mapped_column(String(32), primary_key=True, index=True)
    used_at: Mapped[int] = mapped_column(BigInteger)
