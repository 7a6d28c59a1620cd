"""Words over a button that is not theirs."""

from collections.abc import Iterator

from ._look import Look, Misfit, by_line, quoted, words_said

ORDER, TITLE = 3, "Over a button"


def found(look: Look) -> Iterator[Misfit]:
    """Letters whose ink lies on another block that has an edge of its own."""
    buttons = [b for b in look.words if look.block(b).edged]
    for words in look.words:
        for button in buttons:
            over = [x for x in look.letters(words) if x.box.cut(button.box)] if button.id != words.id else []
            if over:
                sentence = f"{words_said(words, over)} lies over the button {quoted(button.wording)}."
                yield Misfit("on_a_button", words.id, sentence, by_line(over), len(over), other=button.id)
