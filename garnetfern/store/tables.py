"""The tables as peewee models. Their form is made by the migrations; which database they are in, by `Tables`."""

from typing import Any, TypeVar

from peewee import (
    AutoField,
    BooleanField,
    CompositeKey,
    FloatField,
    IntegerField,
    Model,
    SqliteDatabase,
    TextField,
)


class SiteRow(Model):
    """A site: its id, which stays when it is called otherwise, its place among the others, and when it was removed."""

    id = TextField(primary_key=True)
    number = IntegerField()
    made = TextField()
    removed = TextField(null=True)


class Step(Model):
    """One state of a site's document and what led to it."""

    site = TextField()
    number = IntegerField()
    label = TextField()
    document = TextField()
    made = TextField()


class Place(Model):
    """Where a site stands in its history. `revision` grows with every change, undo and redo."""

    site = TextField(primary_key=True)
    revision = IntegerField()
    step = IntegerField()


class Picture(Model):
    """A stored original, found by the SHA-256 of its bytes."""

    hash = TextField(primary_key=True)
    type = TextField()
    width = IntegerField()
    height = IntegerField()
    bytes = IntegerField()
    alpha = BooleanField()
    added = TextField()
    duration = FloatField(default=0)
    rate = FloatField(default=0)
    look = TextField(default="")


class Job(Model):
    """Long work: waiting, running, stopping, stopped, done or failed. What it has made is kept as it goes."""

    id = AutoField()
    site = TextField()
    kind = TextField()
    state = TextField()
    done = IntegerField(default=0)
    total = IntegerField(default=0)
    message = TextField(default="")
    made = TextField()


class Fitted(Model):
    """A file encoded to a budget: what it was made from is its key, its content the hash."""

    key = TextField(primary_key=True)
    hash = TextField()
    quality = IntegerField()
    ssim = FloatField()
    bytes = IntegerField()
    fits = BooleanField()


class Made(Model):
    """A rendition's file by its name, and the hash of its content: what differs from it is made anew."""

    name = TextField(primary_key=True)
    hash = TextField()


class FontRow(Model):
    """An owner's font file, found by the SHA-256 of its bytes, and what was found in it (JSON)."""

    hash = TextField(primary_key=True)
    bytes = IntegerField()
    added = TextField()
    facts = TextField()


class ReleaseRow(Model):
    """What was put live at one time: the document, its files (path to hash and bytes, JSON), what was measured of it
    (JSON), and of which release it is the same (`back`)."""

    site = TextField()
    number = IntegerField()
    made = TextField()
    revision = IntegerField()
    back = IntegerField(null=True)
    document = TextField()
    files = TextField()
    facts = TextField()


Table = TypeVar("Table", bound=type[Model])


def _in(db: SqliteDatabase, model: Table) -> Table:
    key = {"primary_key": CompositeKey("site", "number")} if model in (Step, ReleaseRow) else {}
    name = {SiteRow: "site", ReleaseRow: "release", FontRow: "font"}.get(model, model._meta.table_name)
    meta = type("Meta", (), {"database": db, "table_name": name, **key})
    found: Any = type(
        model.__name__, (model,), {"Meta": meta, "__module__": model.__module__, "__doc__": model.__doc__}
    )
    return found  # type: ignore[no-any-return]


class Tables:
    """The models of one database, which no other application object shares."""

    def __init__(self, db: SqliteDatabase) -> None:
        self.db = db
        self.site = _in(db, SiteRow)
        self.step = _in(db, Step)
        self.place = _in(db, Place)
        self.picture = _in(db, Picture)
        self.job = _in(db, Job)
        self.fitted = _in(db, Fitted)
        self.made = _in(db, Made)
        self.release = _in(db, ReleaseRow)
        self.font = _in(db, FontRow)
