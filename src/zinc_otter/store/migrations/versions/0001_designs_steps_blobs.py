"""Designs, steps and blobs."""

import sqlalchemy as sa
from alembic import op

revision = "0001"
down_revision = None


def upgrade() -> None:
    op.create_table(
        "designs",
        sa.Column("id", sa.String(32), primary_key=True),
        sa.Column("name", sa.String(200), nullable=False),
        sa.Column("unit", sa.String(8), nullable=False),
        sa.Column("created_at", sa.DateTime(), nullable=False),
        sa.Column("changed_at", sa.DateTime(), nullable=False, index=True),
        sa.Column("revision", sa.Integer(), nullable=False),
        sa.Column("head_id", sa.Integer(), nullable=False),
        sa.Column("tip_id", sa.Integer(), nullable=False),
    )
    op.create_table(
        "steps",
        sa.Column("id", sa.Integer(), primary_key=True, autoincrement=True),
        sa.Column(
            "design_id", sa.String(32), sa.ForeignKey("designs.id", ondelete="CASCADE"), nullable=False, index=True
        ),
        sa.Column("parent_id", sa.Integer(), sa.ForeignKey("steps.id", ondelete="CASCADE")),
        sa.Column("number", sa.Integer(), nullable=False),
        sa.Column("title", sa.String(400), nullable=False),
        sa.Column("command", sa.JSON()),
        sa.Column("document", sa.JSON(), nullable=False),
        sa.Column("selected", sa.JSON()),
        sa.Column("created_at", sa.DateTime(), nullable=False),
    )
    op.create_table(
        "blobs",
        sa.Column("hash", sa.String(64), primary_key=True),
        sa.Column("data", sa.LargeBinary(), nullable=False),
    )


def downgrade() -> None:
    for table in ("blobs", "steps", "designs"):
        op.drop_table(table)
