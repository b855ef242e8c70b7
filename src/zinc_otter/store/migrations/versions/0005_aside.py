"""Which steps changed only what is seen: showing and hiding."""

import sqlalchemy as sa
from alembic import op

revision = "0005"
down_revision = "0004"


def upgrade() -> None:
    op.add_column("steps", sa.Column("aside", sa.Boolean(), nullable=False, server_default=sa.false()))
    op.create_index("ix_steps_aside", "steps", ["design_id", "number"], sqlite_where=sa.text("aside"))
    op.execute("UPDATE steps SET aside = 1 WHERE json_extract(command, '$.kind') = 'show-piece'")
    others = ("name", "locked", "opacity", "in_front", "clearance")
    alone = " AND ".join(f"json_extract(command, '$.{field}') IS NULL" for field in others)
    op.execute(
        "UPDATE steps SET aside = 1 WHERE json_extract(command, '$.kind') = 'change-reference' "
        f"AND json_extract(command, '$.visible') IS NOT NULL AND {alone}"
    )


def downgrade() -> None:
    op.drop_index("ix_steps_aside", "steps")
    op.drop_column("steps", "aside")
