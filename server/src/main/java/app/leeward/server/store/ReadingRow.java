package app.leeward.server.store;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.springframework.data.domain.Persistable;

/**
 * A recording that waits to be put to words, and what became of it. Its state changes by the statements of {@link Readings}
 * only, each of which asks for the state it begins from.
 */
@Entity
@Table(name = "reading")
public class ReadingRow implements Persistable<UUID> {
    @Id
    private UUID id;

    @Enumerated(EnumType.STRING)
    private ReadingKind kind;

    private UUID character;
    private UUID line;
    private Integer base;
    private String name;
    private String words;
    private String word;

    @Column(name = "sounds_like")
    private String soundsLike;

    private double seconds;
    private String author;
    private String client;

    @Column(name = "asked_at")
    private Instant askedAt;

    @Enumerated(EnumType.STRING)
    private ReadingState state;

    private double share;

    private UUID recording;

    @Column(name = "cut_from")
    private Double cutFrom;

    @Column(name = "cut_to")
    private Double cutTo;

    @JdbcTypeCode(SqlTypes.JSON)
    private String script;

    @Column(name = "at_frame")
    private Integer at;

    @Column(name = "part_of")
    private UUID partOf;

    /** Written by {@link Readings#tell} alone. */
    @JdbcTypeCode(SqlTypes.JSON)
    @Column(insertable = false, updatable = false)
    private String told;

    @JdbcTypeCode(SqlTypes.JSON)
    private String problem;

    @Transient
    private boolean stored;

    protected ReadingRow() {}

    /** A new line from a recording, which is kept beside this by {@link Readings#keepWav}. */
    public static ReadingRow record(UUID id, UUID character, UUID line, String name, String words, double seconds) {
        ReadingRow r = new ReadingRow(id, ReadingKind.RECORD, character, line, seconds);
        r.name = name;
        r.words = words;
        return r;
    }

    public static ReadingRow words(UUID id, UUID character, UUID line, int base, String words, double seconds) {
        ReadingRow r = new ReadingRow(id, ReadingKind.WORDS, character, line, seconds);
        r.base = base;
        r.words = words;
        return r;
    }

    public static ReadingRow pronounce(
            UUID id, UUID character, UUID line, int base, String word, String soundsLike, double seconds) {
        ReadingRow r = new ReadingRow(id, ReadingKind.PRONOUNCE, character, line, seconds);
        r.base = base;
        r.word = word;
        r.soundsLike = soundsLike;
        return r;
    }

    /** Another take of a line, whose recording is kept beside this by {@link Readings#keepWav}. */
    public static ReadingRow retake(UUID id, UUID character, UUID line, int base, double seconds) {
        ReadingRow r = new ReadingRow(id, ReadingKind.RETAKE, character, line, seconds);
        r.base = base;
        return r;
    }

    /**
     * A script whose lines are to be found in a recording of many.
     *
     * @param script as JSON
     */
    public static ReadingRow script(UUID id, UUID character, UUID recording, String script, double seconds) {
        // it makes no line itself; the column wants one
        ReadingRow r = new ReadingRow(id, ReadingKind.SCRIPT, character, id, seconds);
        r.recording = recording;
        r.script = script;
        return r;
    }

    /**
     * Which line of its shot it is about.
     *
     * @param frame it begins at; null for the first
     */
    public ReadingRow of(Integer frame) {
        this.at = frame;
        return this;
    }

    /** One line that a script found, from a stretch of its recording. */
    public ReadingRow cut(ReadingRow by, double from, double to) {
        this.partOf = by.id;
        this.recording = by.recording;
        this.cutFrom = from;
        this.cutTo = to;
        return this;
    }

    private ReadingRow(UUID id, ReadingKind kind, UUID character, UUID line, double seconds) {
        this.id = id;
        this.kind = kind;
        this.character = character;
        this.line = line;
        this.seconds = seconds;
        this.state = ReadingState.WAITING;
    }

    /** @param client whose turn it counts as */
    public ReadingRow askedBy(String by, String client, Instant at) {
        this.author = by;
        this.client = client;
        this.askedAt = at;
        return this;
    }

    @PostLoad
    @PostPersist
    void nowStored() {
        stored = true;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return !stored;
    }

    public ReadingKind kind() {
        return kind;
    }

    public UUID character() {
        return character;
    }

    public UUID line() {
        return line;
    }

    /** The line's revision it was asked for on; null for a new line. */
    public Integer base() {
        return base;
    }

    public String name() {
        return name;
    }

    public String words() {
        return words;
    }

    public String word() {
        return word;
    }

    public String soundsLike() {
        return soundsLike;
    }

    public String author() {
        return author;
    }

    public String client() {
        return client;
    }

    /** The recording of many lines it reads from; null for one that has a recording of its own. */
    public UUID recording() {
        return recording;
    }

    /** Seconds into {@link #recording()}; null unless one line is cut out of it. */
    public Double cutFrom() {
        return cutFrom;
    }

    public Double cutTo() {
        return cutTo;
    }

    /** The lines a script asks for, as JSON. */
    public String script() {
        return script;
    }

    /** The script it is a line of; null for one that was asked for alone. */
    public UUID partOf() {
        return partOf;
    }

    /** What became of a script, as JSON; null until it is done. */
    public String told() {
        return told;
    }

    /** The frame the line begins at that is read again; null for the first one of its shot. */
    public Integer at() {
        return at;
    }

    public Instant askedAt() {
        return askedAt;
    }

    public ReadingState state() {
        return state;
    }

    /** How much of it is done, 0 to 1. */
    public double share() {
        return share;
    }

    /** Why it was refused, as JSON; null while it was not. */
    public String problem() {
        return problem;
    }
}
