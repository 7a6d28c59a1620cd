"""Long computations give way to those in a hurry, and to a newer question."""

import threading

import pytest

from garnetfern.core.reading import situations
from garnetfern.core.reading.widths import WidthRun
from garnetfern.service.runtime.polite import Manners, PoliteReader, SupersededError
from tests.sites import colour_layer, one_banner, reader_of


def reading(reader):
    file = one_banner(colour_layer("#000000", 0.4))
    page = file.site.pages[0]
    situation = situations(file.site, page)[0]
    record = reader.resolve(file.site, page, situation)
    block = next(record.blocks())
    return reader.read(record, block, situation, file.site.requirement)


def test_a_polite_reader_reads_what_any_reader_reads():
    plain = reader_of(one_banner())
    assert reading(PoliteReader(plain, Manners(), "remedy")) == reading(plain)


def test_it_waits_while_somebody_is_in_a_hurry():
    manners = Manners()
    number = manners.ask("remedy")
    done = threading.Event()

    def polite():
        manners.give_way("remedy", number)
        done.set()

    with manners.hurry():
        thread = threading.Thread(target=polite)
        thread.start()
        assert not done.wait(0.15)
    assert done.wait(120)
    thread.join()


def test_a_hurry_that_fails_holds_nobody_up():
    manners = Manners()
    with pytest.raises(ValueError, match="broken"), manners.hurry():
        raise ValueError("broken")
    manners.give_way("remedy", manners.ask("remedy"))


def test_a_newer_question_ends_the_older_one_of_its_kind_alone():
    manners = Manners()
    plain = reader_of(one_banner())
    old, other = PoliteReader(plain, manners, "remedy"), PoliteReader(plain, manners, "build-up")
    PoliteReader(plain, manners, "remedy")
    with pytest.raises(SupersededError):
        reading(old)
    assert reading(other).ratio is not None


def test_a_run_over_widths_gives_way_too():
    manners = Manners()
    file = one_banner(colour_layer("#000000", 0.4))
    old = PoliteReader(reader_of(file), manners, "widths")
    assert WidthRun(old, file.site, file.site.pages[0]).at(400).worst is not None
    PoliteReader(reader_of(file), manners, "widths")
    with pytest.raises(SupersededError):
        WidthRun(old, file.site, file.site.pages[0]).run()


def test_an_older_question_that_is_begun_late_does_not_end_the_newer_one():
    manners = Manners()
    plain = reader_of(one_banner())
    new, late = PoliteReader(plain, manners, "remedy", 8), PoliteReader(plain, manners, "remedy", 7)
    assert reading(new).ratio is not None
    with pytest.raises(SupersededError):
        reading(late)
