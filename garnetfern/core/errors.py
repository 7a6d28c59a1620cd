"""What can be wrong with what somebody hands in or asks for.

GarnetfernError
├─ DocumentError        a site document that is not valid; carries every problem with its path
├─ LengthError          a text that is not a length
├─ ColourError          a text that is not a colour
├─ PictureError         a file that cannot be used as a picture
├─ FontError            a file that cannot be used as a font
├─ SiteFileError        a site file (zip) that cannot be opened
├─ StylesheetError      a stylesheet, or what it came with, that cannot be read at all
├─ VisitsError          a table of visits that cannot be read
├─ NotFoundError        something that was asked for is not there
├─ StaleError           a change that was based on an older revision
├─ SupersededError      a question that was asked anew; its answer is not needed any more
├─ NoPictureError       a block that needs a picture where there is none yet
├─ InUseError           a picture that is to go while it is used
├─ AlreadyThereError    a file that is on the shelf already
├─ SameStyleError       two files of a font family that would be the same style
├─ KeepsJoinError       a change that would tear a join apart
├─ BesideError          words that cannot be put beside what matters in a picture
├─ BannerError          a band that whole banners cannot be made of
├─ EyeError             other eyes that are not known, or cannot be set so
├─ TurnsError           layers that cannot take turns so
├─ LastPageError        a page that is to go and is the only one
├─ LastSiteError        a site that is to go and is the only one
├─ AddressError         an address that a page cannot have
├─ ShareError           a part that pages cannot have in common so
├─ PlacingError         a band that cannot be shown by rules so
├─ ScreenError          screens that cannot be changed so
├─ TakingError          something that cannot be taken away so
├─ FallsShortError      a site that is to be put live although words fall short or are lost
├─ NameTakenError       a released file that would lie under another one's name
├─ RoomError            no worker for somebody's file could be started
└─ StoreError           something about what is kept on disk
   ├─ FolderError       the data folder cannot be opened; nothing in it was touched
   ├─ DamagedError      a file is not what it was
   └─ RefusedError      the system refuses to keep or to read something

Each lies beside what raises it; `api/errors.py` makes all of them answers. Every message states the rule and what was
received, in words for the person at the screen.
"""

from dataclasses import dataclass


class GarnetfernError(Exception):
    """Base of all errors a caller can do something about. `path` says where in the document."""

    kind = "error"

    def __init__(self, message: str, path: str = "$") -> None:
        super().__init__(message)
        self.message = message
        self.path = path


@dataclass(frozen=True)
class Problem:
    """One thing that is wrong: its kind, a sentence, and its place as a path like `$.pages[0].slug`."""

    kind: str
    message: str
    path: str


class DocumentError(GarnetfernError):
    """The document breaks a rule. `problems` lists all of them; the first is the message."""

    kind = "document"

    def __init__(self, problems: list[Problem]) -> None:
        super().__init__(problems[0].message, problems[0].path)
        self.problems = problems


class LengthError(GarnetfernError, ValueError):
    """The text is not a length of CSS Values 4 that this product takes."""

    kind = "length"


class ColourError(GarnetfernError, ValueError):
    """The text is not a colour."""

    kind = "colour"


class PictureError(GarnetfernError):
    """The file cannot be used as a picture; the message says why."""

    kind = "picture"


class FontError(GarnetfernError):
    """The file cannot be used as a font; the message says why."""

    kind = "font"


class StylesheetError(GarnetfernError):
    """A stylesheet, or what it came with, cannot be read at all; the message says why."""

    kind = "stylesheet"


class SiteFileError(GarnetfernError):
    """The site file cannot be opened; nothing of it was taken over."""

    kind = "site-file"


class NotFoundError(GarnetfernError):
    """What was asked for is not there."""

    kind = "not-found"


class AlreadyThereError(GarnetfernError):
    """The same file is on the shelf."""

    kind = "already-there"


class StaleError(GarnetfernError):
    """The change was based on revision `based_on`, but the site is at `current`; nothing was written."""

    kind = "stale"

    def __init__(self, based_on: int, current: int) -> None:
        super().__init__(
            f"The site has moved on (it is at revision {current}, this change was made on {based_on}). "
            "Nothing was overwritten; the newer state is shown."
        )
        self.based_on = based_on
        self.current = current
