"""Steps know whether they are on their design's line; uses of blobs by design; the record of made files."""

import json

import sqlalchemy as sa
from alembic import op

revision = "0003"
down_revision = "0002"


def upgrade() -> None:
    op.add_column("steps", sa.Column("on_line", sa.Boolean(), nullable=False, server_default=sa.false()))
    op.create_index("ix_steps_line", "steps", ["design_id", "on_line", "number"])
    # Deleting a step asks whether others have it as their parent.
    op.create_index("ix_steps_parent", "steps", ["parent_id"])
    op.create_table(
        "blob_uses",
        sa.Column("design_id", sa.String(32), primary_key=True),
        sa.Column("hash", sa.String(64), primary_key=True, index=True),
    )
    op.create_table(
        "made_files",
        sa.Column("path", sa.String(200), primary_key=True),
        sa.Column("design_id", sa.String(32), primary_key=True, index=True),
        sa.Column("used_at", sa.BigInteger(), nullable=False),
    )
    connection = op.get_bind()
    for design_id, tip in connection.execute(sa.text("SELECT id, tip_id FROM designs")).fetchall():
        _line(connection, design_id, tip)
        _uses(connection, design_id)


def _line(connection: sa.Connection, design_id: str, tip: int) -> None:
    found = connection.execute(sa.text("SELECT id, parent_id FROM steps WHERE design_id = :d"), {"d": design_id})
    parents: dict[int, int | None] = {row[0]: row[1] for row in found}
    line: list[dict[str, int]] = []
    at: int | None = tip
    while at is not None and at in parents:
        line.append({"id": at})
        at = parents[at]
    if line:
        connection.execute(sa.text("UPDATE steps SET on_line = 1 WHERE id = :id"), line)


def _uses(connection: sa.Connection, design_id: str) -> None:
    """As documents stood when this was written; later forms of them come by later versions."""
    used: set[str] = set()
    for (text,) in connection.execute(sa.text("SELECT document FROM steps WHERE design_id = :d"), {"d": design_id}):
        used |= _hashes(json.loads(text))
    rows = [{"d": design_id, "h": digest} for digest in sorted(used)]
    if rows:
        connection.execute(sa.text("INSERT OR IGNORE INTO blob_uses (design_id, hash) VALUES (:d, :h)"), rows)


def _hashes(value: object) -> set[str]:
    """All that looks like a hash: to hold on to one too many does no harm."""
    if isinstance(value, str):
        return {value} if len(value) == 64 and set(value) <= set("0123456789abcdef") else set()
    parts = value.values() if isinstance(value, dict) else value if isinstance(value, list) else ()
    return set().union(*(_hashes(part) for part in parts)) if parts else set()


def downgrade() -> None:
    op.drop_table("made_files")
    op.drop_table("blob_uses")
    op.drop_index("ix_steps_parent", "steps")
    op.drop_index("ix_steps_line", "steps")
    op.drop_column("steps", "on_line")
