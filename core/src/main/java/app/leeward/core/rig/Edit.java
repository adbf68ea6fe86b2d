package app.leeward.core.rig;

import app.leeward.core.dial.Dial;
import app.leeward.core.mouth.Viseme;
import app.leeward.core.speech.Phone;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/** Every way a character can change. Undo, history, storage and tests all go through {@link Edits#apply}. */
public sealed interface Edit {
    /** Touched by an edit after which nothing made before it makes sense. */
    String EVERYTHING = "everything";

    /** What it does, in a rigger's words; {@code before} is the character it is applied to. */
    String describe(Character before);

    /** What it changes, so that edits made at the same time to different things can both be kept. */
    Set<String> touches();

    /** Begins a character, or replaces it whole with one read from art. */
    record Adopt(Character character, String source) implements Edit {
        @Override
        public Set<String> touches() {
            return Set.of(EVERYTHING);
        }

        @Override
        public String describe(Character before) {
            return "Read " + character.parts().size() + " parts from " + source;
        }
    }

    record Rename(String name) implements Edit {
        @Override
        public Set<String> touches() {
            return Set.of("name");
        }

        @Override
        public String describe(Character before) {
            return "Renamed the character from " + before.name() + " to " + name.strip();
        }
    }

    record RenamePart(String part, String name) implements Edit {
        @Override
        public Set<String> touches() {
            return Set.of("name of " + part);
        }

        @Override
        public String describe(Character before) {
            return "Renamed " + nameOf(before, part) + " to " + name.strip();
        }
    }

    /**
     * Moves a part in its rest pose.
     *
     * @param dx user units to the right
     * @param dy user units downwards
     */
    record Nudge(String part, double dx, double dy) implements Edit {
        @Override
        public Set<String> touches() {
            return Set.of("place of " + part);
        }

        @Override
        public String describe(Character before) {
            String across = dx == 0 ? "" : plain(Math.abs(dx)) + (dx > 0 ? " to the right" : " to the left");
            String down = dy == 0 ? "" : plain(Math.abs(dy)) + (dy > 0 ? " down" : " up");
            return "Moved " + nameOf(before, part) + " " + across + (across.isEmpty() || down.isEmpty() ? "" : " and ")
                    + down;
        }
    }

    /** Makes a drawing, or nothing, the one a part shows by default. */
    record Show(String part, String drawing) implements Edit {
        @Override
        public Set<String> touches() {
            return Set.of("default of " + part);
        }

        @Override
        public String describe(Character before) {
            String what = before.part(part)
                    .flatMap(p -> p.drawing(drawing))
                    .map(d -> d.name())
                    .orElse(drawing);
            return nameOf(before, part) + " shows " + what + " by default";
        }
    }

    /** Lets a mouth drawing serve a class of sounds. */
    record ServeSound(Viseme viseme, String drawing) implements Edit {
        @Override
        public Set<String> touches() {
            return Set.of("mouth for " + viseme);
        }

        @Override
        public String describe(Character before) {
            return "Mouth '" + drawing + "' serves " + viseme.words();
        }
    }

    /** Writes down how a word is pronounced. */
    record Pronounce(String word, List<Phone> phones) implements Edit {
        public Pronounce {
            phones = List.copyOf(phones);
        }

        @Override
        public Set<String> touches() {
            return Set.of("sounds of " + word);
        }

        @Override
        public String describe(Character before) {
            return "'" + word + "' is pronounced "
                    + phones.stream().map(Phone::name).collect(Collectors.joining(" "));
        }
    }

    /** Puts a dial in place of the one with its id, or adds it. */
    record SetDial(Dial dial) implements Edit {
        @Override
        public Set<String> touches() {
            return Set.of("dial " + dial.id());
        }

        @Override
        public String describe(Character before) {
            return (before.dial(dial.id()).isPresent() ? "Changed dial " : "Added dial ") + dial.name();
        }
    }

    private static String nameOf(Character c, String part) {
        return c.part(part).map(Part::name).orElse(part);
    }

    private static String plain(double v) {
        String text = String.format(Locale.ROOT, "%.2f", v);
        return text.replaceAll("\\.?0+$", "");
    }
}
