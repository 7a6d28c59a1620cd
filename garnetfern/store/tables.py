"""The tables as peewee models. Their form is made by the migrations in `database`."""

from peewee import AutoField, BooleanField, FloatField, ForeignKeyField, IntegerField, Model, SqliteDatabase, TextField


class Step(Model):
    """One state of the site document and what led to it."""

    number = IntegerField(primary_key=True)
    label = TextField()
    document = TextField()
    made = TextField()


class Place(Model):
    """Where the site stands in its history (one row). `revision` grows with every change, undo and redo."""

    revision = IntegerField()
    step = ForeignKeyField(Step, column_name="step", backref=None)


class Picture(Model):
    """A stored original, found by the SHA-256 of its bytes."""

    hash = TextField(primary_key=True)
    type = TextField()
    width = IntegerField()
    height = IntegerField()
    bytes = IntegerField()
    alpha = BooleanField()
    added = TextField()
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


TABLES = (Step, Place, Picture, Job, Fitted)


def bind(db: SqliteDatabase) -> None:
    """Let the models use this database."""
    db.bind(TABLES)
