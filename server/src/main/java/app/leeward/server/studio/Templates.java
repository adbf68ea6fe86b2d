package app.leeward.server.studio;

import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeBrows;
import app.leeward.core.edit.MakeCues;
import app.leeward.core.edit.MakeHeadDial;
import app.leeward.core.edit.MakeLooks;
import app.leeward.core.edit.MakeMouths;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.Outcome;
import app.leeward.core.edit.SetMood;
import app.leeward.core.edit.SuggestLinks;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.rig.Character;
import app.leeward.core.signal.SignalSource;
import app.leeward.core.turn.HeadDial;
import app.leeward.demo.DemoFiles;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/** Finished heads that come with Leeward, to begin with or to take things from. */
@Service
public class Templates {
    /** One of them. */
    public enum Head {
        MAREN("Maren", "A woman from the front, with hands", DemoFiles::maren),
        PILCHARD("Pilchard", "A bird with a beak", DemoFiles::pilchard),
        WICK("Wick", "A man in three views", DemoFiles::wick);

        private final String title;
        private final String message;
        private final Supplier<byte[]> file;

        Head(String title, String message, Supplier<byte[]> file) {
            this.title = title;
            this.message = message;
            this.file = file;
        }

        /** What it is called. */
        public String title() {
            return title;
        }

        /** What it is, in a sentence's part. */
        public String message() {
            return message;
        }

        static Optional<Head> named(String id) {
            return Arrays.stream(values()).filter(h -> h.name().equals(id)).findFirst();
        }
    }

    private final Characters characters;

    Templates(Characters characters) {
        this.characters = characters;
    }

    /**
     * A new character from one of them, rigged with everything its art bears.
     *
     * @throws Problem when there is none of that name
     */
    public Snapshot<Character> begin(UUID id, String head, String author) {
        Head of = Head.named(head).orElseThrow(() -> Problem.notThere("template"));
        return characters.read(id, of.file.get(), of.title + ".svg", author, read -> rigged(read)
                .withName(of.title));
    }

    /** What is offered on every bench, one after the other; what the art lacks something for is left out. */
    static Character rigged(Character read) {
        List<Edit> edits = new ArrayList<>(List.of(
                new MakeMouths("", null, null, true, List.of(Viseme.values())),
                new SetMood("", "Happy", 0.7, 0.1),
                new SetMood("", "Sad", -0.6, 0.15),
                new MakeBrows(),
                new MakeLooks(),
                new MakeCues()));
        if (read.controls().views().isEmpty()) {
            edits.add(MakeTurn.of(Optional.empty()));
            edits.add(new MakeHeadDial(HeadDial.NOD));
            edits.add(new MakeHeadDial(HeadDial.TILT));
        }
        edits.add(new SuggestLinks(SignalSource.FACE));
        Character c = read;
        for (Edit e : edits) {
            c = Edits.apply(c, e) instanceof Outcome.Done done ? done.character() : c;
        }
        return c;
    }
}
