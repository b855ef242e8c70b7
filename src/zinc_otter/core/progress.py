"""How far long work is: a share from 0 to 1, and what is being done, in words."""

from __future__ import annotations

from collections.abc import Callable

Progress = Callable[[float, str], None]
