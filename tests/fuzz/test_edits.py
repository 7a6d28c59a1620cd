"""Any sequence of edits, changes, undos and redos leaves a document that is valid, drawn and emitted."""

import os
import random
import shutil
import tempfile
from pathlib import Path

from hypothesis import HealthCheck, settings
from hypothesis import strategies as st
from hypothesis.stateful import RuleBasedStateMachine, initialize, invariant, rule
from pydantic import TypeAdapter, ValidationError

from garnetfern.core.document import read_site
from garnetfern.core.errors import GarnetfernError
from garnetfern.service.edits.apply import Edit
from garnetfern.service.workspace.house import first_site
from garnetfern.store import verify
from tests.conftest import jpeg
from tests.fuzz.real import made_real, paths_of
from tests.near_room import NearRoom
from tests.sites import HEADING, colour_layer, document, image_layer, with_picture

MORE = int(os.environ.get("GARNETFERN_MORE", "1"))
EDITS = TypeAdapter(Edit)
SCHEMA = EDITS.json_schema()
MODELS = SCHEMA["$defs"]
KINDS = sorted(path.rsplit("/", 1)[-1] for path in SCHEMA["discriminator"]["mapping"].values())
WORDS = st.sampled_from(["", "x", "Fern", "a" * 300, "</style>", "phone", "banner", "\u202e", "12px", "#123456"])
VALUES = st.one_of(
    st.none(), st.booleans(), st.integers(-5, 5000), st.floats(-2, 50), WORDS, st.just({}), st.just([]),
    st.just([{"id": "x"}]), st.just("50%"), st.just("9999vh"), st.just(1e308),
)  # fmt: skip


def made_up(name, rng):
    """An edit of a kind with values that its schema could mean."""

    def of(spec):
        if "const" in spec:
            return spec["const"]
        if "enum" in spec:
            return rng.choice(spec["enum"])
        if "anyOf" in spec:
            return of(rng.choice(spec["anyOf"]))
        if "$ref" in spec:
            model = MODELS[spec["$ref"].rsplit("/", 1)[-1]]
            return {k: of(v) for k, v in model.get("properties", {}).items() if "default" not in v} or of(model)
        kind = spec.get("type")
        if kind == "array":
            return [of(spec.get("items", {})) for _ in range(rng.randrange(4))]
        if kind == "object":
            return {k: of(v) for k, v in spec.get("properties", {}).items()}
        numbers = {"integer": rng.randrange(-2, 2000), "number": rng.uniform(-1, 3), "boolean": rng.random() < 0.5}
        return numbers.get(kind, rng.choice(["x", "fern", "phone", "12px", "#123456", "a" * 200]))

    model = MODELS[name]
    fields = model["properties"]
    return {k: of(v) for k, v in fields.items() if k in model.get("required", []) or k == "kind" or rng.random() < 0.7}


class Bench(RuleBasedStateMachine):
    """Somebody, or something, at the bench."""

    @initialize()
    def begin(self):
        self.folder = Path(tempfile.mkdtemp(prefix="garnetfern-fuzz-"))
        self.studio = first_site(self.folder / "data", NearRoom())
        site = document(image_layer(), colour_layer("#102030", 0.4), blocks=[HEADING])
        site["slots"] = [{"id": "card", "name": "Card", "width": 40, "height": 20}]
        self.studio.start(with_picture(site, jpeg(300, 200), "p.jpg"), "A new site")
        self.revision, self.kept = 1, 0

    def tried(self, action):
        """Carry out, or be refused with a sentence; both leave a revision that is known."""
        try:
            action()
        except (GarnetfernError, ValidationError) as error:
            assert str(error)
            assert self.studio.state().revision == self.revision
        else:
            self.revision += 1
            self.kept += 1
            assert self.studio.state().revision == self.revision

    @rule(name=st.sampled_from(KINDS), number=st.integers(0, 2**32))
    def edit(self, name, number):
        rng = random.Random(number)
        state = {"document": self.studio.state().document, "revision": self.revision}
        asked = made_real(made_up(name, rng), state, rng)
        self.tried(lambda: self.studio.edit(self.revision, EDITS.validate_python(asked)))

    @rule(value=VALUES, number=st.integers(0, 2**32))
    def change(self, value, number):
        rng = random.Random(number)
        paths = paths_of(self.studio.state().document)
        step = {"op": rng.choice(["replace", "add", "remove", "copy", "move"]), "path": rng.choice(paths)}
        step |= {"from": rng.choice(paths), "value": value}
        self.tried(lambda: self.studio.change(self.revision, [step], "Made up"))

    @rule()
    def undo(self):
        self.tried(lambda: self.studio.undo(self.revision))

    @rule()
    def redo(self):
        self.tried(lambda: self.studio.redo(self.revision))

    @invariant()
    def the_site_is_valid_and_can_be_shown(self):
        site = read_site(self.studio.state().document, self.studio.fonts.names())
        for page in site.pages[:2]:
            assert self.studio.emitted(site, page).css

    def teardown(self):
        if hasattr(self, "studio"):
            self.studio.bundle_files()
            self.studio.close()
            assert [f for f in verify(self.folder / "data") if f.grave] == []
            shutil.rmtree(self.folder)


Bench.TestCase.settings = settings(
    max_examples=5 * MORE, stateful_step_count=20, deadline=None, suppress_health_check=list(HealthCheck)
)
TestBench = Bench.TestCase


def test_most_kinds_of_edit_can_be_made_up():
    rng = random.Random(3)
    good = set()
    for name in KINDS * 30:
        try:
            EDITS.validate_python(made_up(name, rng))
            good.add(name)
        except ValidationError:
            continue
    assert len(good) >= 0.8 * len(KINDS), sorted(set(KINDS) - good)
