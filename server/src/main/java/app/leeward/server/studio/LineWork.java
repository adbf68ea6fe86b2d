package app.leeward.server.studio;

import app.leeward.core.edit.Pronounce;
import app.leeward.core.rig.Character;
import app.leeward.core.shot.LayoutEdit;
import app.leeward.core.shot.PlacedLine;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.ShotEdit;
import app.leeward.core.speech.DialogueLine;
import app.leeward.core.speech.Lexicon;
import app.leeward.core.speech.Phone;
import app.leeward.formats.art.Sha256;
import app.leeward.server.store.ReadingRow;
import app.leeward.server.store.Sounds;
import app.leeward.speech.LineReader;
import app.leeward.speech.Listening;
import app.leeward.speech.Sound;
import app.leeward.speech.WavFile;
import java.util.List;
import org.springframework.stereotype.Service;

/** What each kind of reading does: the long part at once, and what it comes to in what comes back. */
@Service
class LineWork {
    private final Lines lines;
    private final Sounds sounds;
    private final RevisionService ledger;
    private final Characters characters;
    private final LineReader reader;

    LineWork(Lines lines, Sounds sounds, RevisionService ledger, Characters characters, LineReader reader) {
        this.lines = lines;
        this.sounds = sounds;
        this.ledger = ledger;
        this.characters = characters;
        this.reader = reader;
    }

    private Shot read(ReadingRow asked, byte[] wav, Character character, Listening listening) {
        try {
            return lines.shot(asked.name(), asked.words(), wav, character, listening);
        } catch (Problem e) {
            if (asked.partOf() == null || !e.code().equals("words-not-found")) {
                throw e;
            }
            // of a script everything is kept: what cannot be found in it has its sounds, and its words are doubted
            DialogueLine line = Lines.heard(
                    () -> reader.withoutWords(asked.words(), WavFile.read(wav), Sha256.of(wav), Listening.ALONE));
            return Lines.shot(asked.name(), line, character);
        }
    }

    /** The long part of a new line; what comes back writes it. */
    Runnable recorded(ReadingRow asked, byte[] wav, Listening listening) {
        Character character = characters.snapshot(asked.character()).state();
        Shot read = read(asked, wav, character, listening);
        return () -> {
            lines.keep(read, wav);
            Shot shot = lines.apart(read, asked.character());
            ledger.begin(
                    lines.keeping(),
                    asked.line(),
                    asked.character(),
                    shot,
                    new ShotEdit.Record(shot),
                    asked.author(),
                    asked.askedAt());
        };
    }

    /** The long part of reading a line with other words; what comes back writes it. */
    Runnable reworded(ReadingRow asked, Listening listening) {
        Snapshot<Shot> before = lines.snapshot(asked.line());
        lines.requireRoom(asked.line(), asked.base());
        PlacedLine placed = Lines.line(before.state(), asked.at());
        Lexicon lexicon = characters.snapshot(asked.character()).state().voice().lexicon();
        DialogueLine line = corrected(placed.line(), asked.words(), lexicon, listening);
        return () -> ledger.edit(
                lines.keeping(), asked.line(), asked.base(), new ShotEdit.Realign(placed.at(), line), asked.author());
    }

    /** The long part of another take of a line; what comes back puts it in. */
    Runnable retaken(ReadingRow asked, byte[] wav, Listening listening) {
        Snapshot<Shot> before = lines.snapshot(asked.line());
        lines.requireRoomForTake(asked.line(), asked.base());
        PlacedLine placed = Lines.line(before.state(), asked.at());
        Lexicon lexicon = characters.snapshot(asked.character()).state().voice().lexicon();
        Sound sound = Lines.heard(() -> WavFile.read(wav));
        DialogueLine line = Lines.heard(() -> reader.retake(placed.line(), sound, Sha256.of(wav), lexicon, listening));
        return () -> {
            sounds.keep(line.sound(), wav, line.seconds());
            ledger.edit(
                    lines.keeping(),
                    asked.line(),
                    asked.base(),
                    new LayoutEdit.Retake(placed.at(), line),
                    asked.author());
        };
    }

    /** The long part of reading a line with a word pronounced otherwise; what comes back writes line and lexicon. */
    Runnable pronounced(ReadingRow asked, Listening listening) {
        Snapshot<Shot> before = lines.snapshot(asked.line());
        lines.requireRoom(asked.line(), asked.base());
        PlacedLine placed = Lines.line(before.state(), asked.at());
        List<Phone> phones = lines.phones(asked.soundsLike());
        Lexicon lexicon =
                characters.snapshot(asked.character()).state().voice().lexicon().with(asked.word(), phones);
        DialogueLine line = corrected(placed.line(), placed.line().text(), lexicon, listening);
        return () -> {
            Snapshot<Character> now = characters.snapshot(asked.character());
            characters.edit(now.id(), now.revision(), new Pronounce(asked.word(), phones), asked.author());
            ledger.edit(
                    lines.keeping(),
                    asked.line(),
                    asked.base(),
                    new ShotEdit.Realign(placed.at(), line),
                    asked.author());
        };
    }

    private DialogueLine corrected(DialogueLine line, String words, Lexicon lexicon, Listening listening) {
        Sound sound = Lines.heard(() -> WavFile.read(lines.wavOf(line.sound())));
        return Lines.heard(() -> reader.correct(line, Lines.within(words), sound, lexicon, listening));
    }
}
