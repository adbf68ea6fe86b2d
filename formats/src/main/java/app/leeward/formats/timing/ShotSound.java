package app.leeward.formats.timing;

import app.leeward.core.refusal.Refusal;
import app.leeward.core.refusal.RefusalCode;
import app.leeward.formats.export.Choices;
import app.leeward.formats.export.ExportSource;
import app.leeward.formats.export.Exporter;
import app.leeward.formats.export.Family;
import app.leeward.formats.export.Format;
import app.leeward.formats.export.Scope;
import java.io.IOException;
import java.io.OutputStream;

/** What is heard in a shot, all its lines where they are placed. */
public final class ShotSound implements Exporter {
    private static final Format FORMAT = new Format(
            "sound-wav", "WAV", "audio/wav", "wav", Scope.SHOT, Family.TIMING, "all its lines where they are placed");

    @Override
    public Format format() {
        return FORMAT;
    }

    @Override
    public void write(ExportSource source, Choices choices, OutputStream out) throws IOException {
        out.write(source.sound()
                .get()
                .orElseThrow(() -> new Refusal(
                        RefusalCode.NO_SOUND, "Nothing is said in this shot: it has no sound to hand over.")));
    }
}
