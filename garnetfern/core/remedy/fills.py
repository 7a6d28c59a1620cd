"""The colour that words are read by, and another one in its place."""

from ..document import Block


def fill_of(block: Block) -> str:
    """The colour that a block's letters are read by."""
    lettering = block.lettering
    return lettering.outline.colour if lettering.hollow and lettering.outline else lettering.colour


def colours_of(block: Block) -> tuple[str, ...]:
    """All colours that its words are read by."""
    hollow = block.lettering.hollow
    return (fill_of(block), *(p.colour for p in block.phrases if p.colour and not hollow))


def filled(block: Block, colour: str) -> Block:
    """A block whose letters are read by another colour, pointed at too; its phrases as well."""
    lettering = block.lettering
    changes: dict[str, object] = {"colour": colour}
    if lettering.hollow and lettering.outline:
        changes = {"outline": lettering.outline.model_copy(update={"colour": colour})}
    if lettering.over is not None:
        changes["over"] = colour
    return plain(block).model_copy(update={"lettering": lettering.model_copy(update=changes)})


def plain(block: Block) -> Block:
    """A block whose phrases have no colour of their own; what was told by its colour alone is no phrase any more."""
    bare = (phrase.model_copy(update={"colour": None}) for phrase in block.phrases)
    said = tuple(phrase for phrase in bare if phrase.strong or phrase.emphasis or phrase.link)
    return block.model_copy(update={"phrases": said}) if block.phrases else block
