"""Alembic's entry: the connection is handed in by store.database."""

from alembic import context

from zinc_otter.store.models import Base

context.configure(connection=context.config.attributes["connection"], target_metadata=Base.metadata, render_as_batch=True)
with context.begin_transaction():
    context.run_migrations()
