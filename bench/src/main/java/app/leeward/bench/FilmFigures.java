package app.leeward.bench;

import app.leeward.core.edit.Edit;
import app.leeward.core.edit.Edits;
import app.leeward.core.edit.MakeBrows;
import app.leeward.core.edit.MakeTurn;
import app.leeward.core.edit.Outcome;
import app.leeward.core.eval.Evaluator;
import app.leeward.core.intake.IntakeResult;
import app.leeward.core.mouth.TrackRules;
import app.leeward.core.rig.Character;
import app.leeward.core.rig.Pose;
import app.leeward.core.shot.ActingEdit;
import app.leeward.core.shot.DialKey;
import app.leeward.core.shot.Playhead;
import app.leeward.core.shot.Shot;
import app.leeward.core.shot.Way;
import app.leeward.demo.DemoFiles;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Scope;
import app.leeward.formats.svg.SvgReader;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * How long it takes to hand a shot over: Maren with her turn, ten seconds at 24 a second in which her head never stops, in every format
 * there is of a shot without sound. Arguments: width of films in pixels, 960 when left out; another word for all but films.
 */
final class FilmFigures {
    private static final int FRAMES = 240;

    private FilmFigures() {}

    public static void main(String[] args) throws IOException {
        boolean films = args.length == 0 || args[0].matches("\\d+");
        double width = args.length > 0 && films ? Double.parseDouble(args[0]) : 960;
        Character c = ((IntakeResult.Hung) SvgReader.read(DemoFiles.maren()).assembled("Maren", 24)).character();
        for (Edit e : List.of(new MakeBrows(), MakeTurn.of(Optional.empty()))) {
            c = ((Outcome.Done) Edits.apply(c, e)).character();
        }
        List<DialKey> keys = new ArrayList<>();
        for (int f = 0; f < FRAMES; f += 20) {
            keys.add(new DialKey(f, f % 40 == 0 ? -30 : 30, Way.SMOOTH));
        }
        Shot shot =
                new ActingEdit.SetKeys(Map.of("turn", keys)).apply(Shot.silent("turning", TrackRules.at(24), FRAMES));
        Playhead playhead = new Playhead(new Evaluator(c), shot);
        ExportSource source = new ExportSource(
                c,
                playhead.frameAt(0, Pose.REST),
                Optional.of(shot),
                Optional.of(playhead),
                hash -> {
                    throw new IllegalStateException("Maren holds no pictures");
                },
                Optional::empty);
        for (Exporter e : Exporter.all()) {
            boolean film = e.options().stream().anyMatch(o -> o.id().equals("film-width"));
            boolean soundless = !e.format().id().equals("sound-wav");
            if (e.format().scope() == Scope.SHOT && soundless && (films || !film)) {
                Choices choices = Choices.of(e.options(), film ? Map.of("film-width", width) : Map.of());
                for (int round = 0; round < 2; round++) {
                    ByteArrayOutputStream out = new ByteArrayOutputStream();
                    long from = System.nanoTime();
                    e.write(source, choices, out);
                    double seconds = (System.nanoTime() - from) / 1e9;
                    System.out.printf(
                            Locale.ROOT,
                            "%s%s, %d frames: %.2f s, %.1f frames a second, %d KB%n",
                            e.format().label(),
                            film ? String.format(Locale.ROOT, ", %.0f pixels wide", width) : "",
                            FRAMES,
                            seconds,
                            FRAMES / seconds,
                            out.size() / 1000);
                }
            }
        }
    }
}
