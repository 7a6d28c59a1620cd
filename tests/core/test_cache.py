"""The one store: it gives what was made, keeps to its weight, lets the longest unasked go, and counts."""

import threading
from dataclasses import dataclass

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from garnetfern.core.cache import OBJECT, Cache, Kept, weight


@dataclass(frozen=True)
class Pair:
    name: str
    values: tuple[object, ...]


@pytest.mark.parametrize(
    ("value", "bytes_"),
    [
        (None, OBJECT),
        (1.5, OBJECT),
        ("fern", OBJECT + 4),
        (np.zeros((10, 10, 3), dtype=np.uint8), OBJECT + 300),
        ((1, "ab"), 3 * OBJECT + 2),
        ({"ab": "c", "d": 1}, 5 * OBJECT + 4),
        (Pair("fern", (np.zeros(8, dtype=np.float64),)), 4 * OBJECT + 4 + 64),
    ],
    ids=lambda v: type(v).__name__,
)
def test_what_values_weigh(value, bytes_):
    assert weight(value) == bytes_


@given(
    asked=st.lists(st.tuples(st.sampled_from(["ring", "mask"]), st.integers(0, 9)), max_size=60),
    most=st.integers(1, 12),
)
def test_it_gives_what_was_made_and_is_never_too_heavy(asked, most):
    one = OBJECT + 100
    cache, made, order = Cache(most * one), [], []
    for kind, key in asked:

        def make(kind=kind, key=key):
            made.append((kind, key))
            return f"{kind} {key}".ljust(100)

        known = (kind, key) in order
        before = len(made)
        assert cache.get(kind, key, make) == f"{kind} {key}".ljust(100)
        assert (len(made) == before) == known
        # a model of it: the present one is the youngest, the oldest go
        order = [*(o for o in order if o != (kind, key)), (kind, key)][-most:]
        assert cache.size == len(order) * one <= cache.most
    hits = {k.kind: (k.hits, k.misses) for k in cache.facts()}
    assert sum(h + m for h, m in hits.values()) == len(asked)
    assert sum(m for _, m in hits.values()) == len(made)


def test_what_is_heavier_than_the_store_is_made_each_time_and_turns_nothing_out():
    cache = Cache(1000)
    cache.get("small", 1, lambda: "x")
    for _ in range(2):
        assert cache.get("large", 1, lambda: np.zeros(2000, dtype=np.uint8)).nbytes == 2000
    assert cache.facts() == [Kept("large", 0, 2), Kept("small", 0, 1)]
    assert cache.get("small", 1, lambda: "y") == "x"


def test_figures_outlast_pictures_and_keep_to_an_eighth():
    cache = Cache(80_000)
    assert cache.figure("ratio", 0, lambda: 4.5) == 4.5
    for n in range(100):
        cache.get("sheet", n, lambda: np.zeros(10_000, dtype=np.uint8))
    assert cache.figure("ratio", 0, lambda: 7.0) == 4.5
    for n in range(1, 1000):
        cache.figure("ratio", n, lambda: 1.0)
    assert cache.figure("ratio", 0, lambda: 7.0) == 7.0
    assert cache.size <= cache.most == 90_000


def test_nothing_that_was_made_may_be_none_and_forgotten():
    cache = Cache()
    made = []
    for _ in range(3):
        assert cache.get("ratio", "none", lambda: made.append(1)) is None
    assert len(made) == 1


def test_a_failure_is_raised_and_nothing_is_kept():
    cache = Cache()
    with pytest.raises(ZeroDivisionError):
        cache.get("x", 1, lambda: 1 // 0)
    assert cache.size == 0
    assert cache.get("x", 1, lambda: 2) == 2


def test_many_threads_get_the_same():
    cache, found = Cache(50 * (OBJECT + 4)), []

    def ask():
        found.extend(cache.get("n", n % 70, lambda n=n: f"{n % 70:04d}") == f"{n % 70:04d}" for n in range(3000))

    threads = [threading.Thread(target=ask) for _ in range(4)]
    for thread in threads:
        thread.start()
    for thread in threads:
        thread.join()
    assert len(found) == 12_000
    assert all(found)
    assert sum(k.hits + k.misses for k in cache.facts()) == 12_000
