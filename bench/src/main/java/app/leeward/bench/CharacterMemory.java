package app.leeward.bench;

import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.rig.Character;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.art.LayeredArt;
import app.leeward.formats.file.ArtReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;

/** What a loaded character takes on the heap, with its compiled rig: many are made, and what is left after collecting is counted. */
public final class CharacterMemory {
    private static final int COPIES = 40;

    private CharacterMemory() {}

    public static void main(String[] args) {
        print("Maren", () -> read(DemoFiles.maren()));
        print("Barnaby Wick, drawn from three sides", () -> read(DemoFiles.wick()));
        print("sixty parts, twelve dials", SixtyParts::rig);
    }

    private static Character read(byte[] file) {
        LayeredArt art = ArtReader.read(file);
        return ((IntakeResult.Hung) art.assembled("A", 24)).character();
    }

    private static void print(String name, Supplier<Character> make) {
        make.get();
        List<Object> kept = new ArrayList<>();
        long before = used();
        for (int i = 0; i < COPIES; i++) {
            Character c = make.get();
            kept.add(c);
            kept.add(new Evaluator(c));
        }
        long after = used();
        System.out.printf(
                Locale.ROOT,
                "%s: %.0f KB a character with its evaluator (%d kept)%n",
                name,
                (after - before) / 1024.0 / COPIES,
                kept.size() / 2);
    }

    private static long used() {
        for (int i = 0; i < 4; i++) {
            System.gc();
        }
        Runtime r = Runtime.getRuntime();
        return r.totalMemory() - r.freeMemory();
    }
}
