"""The tables as peewee models. Their form is made by the migrations; which database they are in, by `Tables`."""

from typing import Any, TypeVar

from peewee import AutoField, BooleanField, FloatField, IntegerField, Model, SqliteDatabase, TextField


class Step(Model):
    """One state of the site document and what led to it."""

    number = IntegerField(primary_key=True)
    label = TextField()
    document = TextField()
    made = TextField()


class Place(Model):
    """Where the site stands in its history (one row). `revision` grows with every change, undo and redo."""

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


Table = TypeVar("Table", bound=type[Model])


def _in(db: SqliteDatabase, model: Table) -> Table:
    meta = type("Meta", (), {"database": db, "table_name": model._meta.table_name})
    found: Any = type(
        model.__name__, (model,), {"Meta": meta, "__module__": model.__module__, "__doc__": model.__doc__}
    )
    return found  # type: ignore[no-any-return]


class Tables:
    """The models of one database, which no other application object shares."""

    def __init__(self, db: SqliteDatabase) -> None:
        self.db = db
        self.step = _in(db, Step)
        self.place = _in(db, Place)
        self.picture = _in(db, Picture)
        self.job = _in(db, Job)
        self.fitted = _in(db, Fitted)
        self.made = _in(db, Made)
