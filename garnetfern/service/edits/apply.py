"""One way in for all edits."""

from collections.abc import Callable
from typing import Annotated, Any

from pydantic import Field

from ...core.document import Site
from . import bands as b
from . import beside as w
from . import blocks as k
from . import fonts as f
from . import joins as j
from . import layers as y
from . import pages as g
from . import pictures as p
from . import placing as r
from . import screens as s
from . import sequences as q
from . import shares as h
from .common import Edited, where_it_is

Edit = Annotated[
    b.AddBand
    | b.RemoveBand
    | b.MoveBand
    | b.DuplicateBand
    | b.SetColumns
    | b.MoveColumn
    | k.AddBlock
    | k.RemoveBlock
    | k.MoveBlock
    | k.DuplicateBlock
    | w.BesideSubject
    | j.JoinBands
    | j.PartBands
    | y.CopyLayer
    | y.SaveLook
    | y.LayLook
    | y.AddPlate
    | s.AddScreen
    | s.RemoveScreen
    | s.SameEverywhere
    | g.AddPage
    | g.CopyPage
    | g.RemovePage
    | g.MovePage
    | g.NamePage
    | g.AddressPage
    | h.SharePart
    | h.PartAlone
    | h.StepOut
    | h.StepIn
    | h.KindPage
    | r.NewPlaced
    | r.PlaceBand
    | r.RemovePlaced
    | r.MovePlaced
    | r.PutPlaced
    | r.AddRule
    | r.ChangeRule
    | r.RemoveRule
    | r.SetZone
    | p.LayPicture
    | p.ShelvePicture
    | p.ReplacePicture
    | p.RemovePicture
    | p.FollowAdvice
    | p.BestFocal
    | q.LayIn
    | q.TakeTurns
    | q.EndTurns
    | f.NameFont
    | f.StandIn
    | f.RemoveFont,
    Field(discriminator="kind"),
]

PLAIN: dict[type, Callable[[Site, Any], Edited]] = {
    b.AddBand: b.add_band,
    b.RemoveBand: b.remove_band,
    b.MoveBand: b.move_band,
    b.DuplicateBand: b.duplicate_band,
    b.SetColumns: b.set_columns,
    b.MoveColumn: b.move_column,
    k.AddBlock: k.add_block,
    k.RemoveBlock: k.remove_block,
    k.MoveBlock: k.move_block,
    k.DuplicateBlock: k.duplicate_block,
    j.JoinBands: j.join_bands,
    j.PartBands: j.part_bands,
    y.CopyLayer: y.copy_layer,
    y.SaveLook: y.save_look,
    y.LayLook: y.lay_look,
    y.AddPlate: y.add_plate,
    s.AddScreen: s.add_screen,
    s.RemoveScreen: s.remove_screen,
    s.SameEverywhere: s.same_everywhere,
    g.AddPage: g.add_page,
    g.CopyPage: g.copy_page,
    g.RemovePage: g.remove_page,
    g.MovePage: g.move_page,
    g.NamePage: g.name_page,
    g.AddressPage: g.address_page,
    h.SharePart: h.share_part,
    h.PartAlone: h.part_alone,
    h.StepOut: h.step_out,
    h.StepIn: h.step_in,
    h.KindPage: h.kind_page,
    r.NewPlaced: r.new_placed,
    r.PlaceBand: r.place_band,
    r.RemovePlaced: r.remove_placed,
    r.MovePlaced: r.move_placed,
    r.PutPlaced: r.put_placed,
    r.AddRule: r.add_rule,
    r.ChangeRule: r.change_rule,
    r.RemoveRule: r.remove_rule,
    r.SetZone: r.set_zone,
    p.ShelvePicture: p.shelve_picture,
    p.ReplacePicture: p.replace_picture,
    p.RemovePicture: p.remove_picture,
    q.LayIn: q.lay_in,
    q.EndTurns: q.end_turns,
}

WITH_MORE: dict[type, Callable[[Site, Any, Any, Any], Edited]] = {
    p.LayPicture: p.lay_picture,
    p.FollowAdvice: p.follow_advice,
    p.BestFocal: p.best_focal,
    w.BesideSubject: w.beside_subject,
    q.TakeTurns: q.take_turns,
    f.NameFont: f.name_font,
    f.StandIn: f.stand_in,
    f.RemoveFont: f.remove_font,
}
"""Edits that need more than the document: what pictures look like, and which fonts there are."""


def apply_edit(site: Site, edit: Any, looks: Any, fonts: Any) -> Edited:
    """The site after an edit. Raises GarnetfernError with the reason where it cannot be; then nothing is changed."""
    edit = where_it_is(site, edit)
    plain = PLAIN.get(type(edit))
    if plain is not None:
        return plain(site, edit)
    return WITH_MORE[type(edit)](site, edit, looks, fonts)
