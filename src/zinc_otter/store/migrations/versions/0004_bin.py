"""When a design was put into the bin."""

import sqlalchemy as sa
from alembic import op

revision = "0004"
down_revision = "0003"


def upgrade() -> None:
    op.add_column("designs", sa.Column("binned_at", sa.DateTime(), nullable=True))


def downgrade() -> None:
    op.drop_column("designs", "binned_at")
