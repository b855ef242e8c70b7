"""What takes a while to make, kept for those who ask again: the last ones, by key."""

from __future__ import annotations

from collections import OrderedDict
from collections.abc import Callable, Hashable
from threading import Lock
from typing import Generic, TypeVar

K = TypeVar("K", bound=Hashable)
V = TypeVar("V")


class Kept(Generic[K, V]):
    """Up to ``most`` values, those asked for last. Safe to call from several threads; values are made outside the lock."""

    def __init__(self, most: int) -> None:
        self._values: OrderedDict[K, V] = OrderedDict()
        self._most = most
        self._lock = Lock()

    def drop(self, goes: Callable[[K], bool]) -> None:
        """Forget the values of keys that go."""
        with self._lock:
            keys = list(self._values)
        for key in keys:
            if goes(key):
                with self._lock:
                    self._values.pop(key, None)

    def peek(self, key: K) -> V | None:
        """The value of a key, if there is one; it makes none."""
        with self._lock:
            return self._values.get(key)

    def get(self, key: K, make: Callable[[], V]) -> V:
        """The value of a key, made where there is none. Raises what ``make`` raises, and keeps nothing then."""
        with self._lock:
            if key in self._values:
                self._values.move_to_end(key)
                return self._values[key]
        made = make()
        with self._lock:
            self._values[key] = made
            while len(self._values) > self._most:
                self._values.popitem(last=False)
        return made
