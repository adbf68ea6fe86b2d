package app.leeward.formats.export;

import java.io.IOException;
import java.io.OutputStream;
import java.util.Comparator;
import java.util.List;
import java.util.ServiceLoader;

/** Writes one format. Without state: one instance serves all. */
public interface Exporter {
    Format format();

    /** What can be chosen about it. */
    default List<Option> options() {
        return List.of();
    }

    /** Whether it draws every frame of a shot, which takes longer than all else. */
    default boolean drawsFrames() {
        return false;
    }

    /**
     * What of this very shot or character the format cannot say, each in a sentence; it is told before anything is written.
     */
    default List<String> losses(ExportSource source) {
        return List.of();
    }

    /**
     * @param choices have all of {@link #options}
     * @throws IOException only from {@code out}
     */
    void write(ExportSource source, Choices choices, OutputStream out) throws IOException;

    /** Every exporter that is there, by families, and in each by their labels. */
    static List<Exporter> all() {
        return ServiceLoader.load(Exporter.class).stream()
                .map(ServiceLoader.Provider::get)
                .sorted(Comparator.comparing((Exporter e) -> e.format().family())
                        .thenComparing(e -> e.format().label()))
                .toList();
    }
}
