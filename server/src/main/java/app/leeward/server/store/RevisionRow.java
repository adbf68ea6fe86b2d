package app.leeward.server.store;

import app.leeward.core.edit.Touch;
import jakarta.persistence.Column;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.springframework.data.domain.Persistable;

/** One durable state of a document. Never changed once written. */
@Entity
@Table(name = "revision")
public class RevisionRow implements Persistable<RevisionKey> {
    /** How a revision came about. */
    public enum Action {
        EDIT,
        UNDO,
        REDO,
        RETURN
    }

    @EmbeddedId
    private RevisionKey key;

    @Enumerated(EnumType.STRING)
    private Action action;

    @JdbcTypeCode(SqlTypes.JSON)
    private String edit;

    @Column(name = "says")
    private String message;

    private String author;

    @Column(name = "made_at")
    private Instant madeAt;

    @JdbcTypeCode(SqlTypes.JSON)
    private String state;

    /** The number of the form that {@code state} and {@code edit} are written in. */
    private int schema;

    @Column(name = "stands_at")
    private int standsAt;

    @Column(name = "came_from")
    private Integer cameFrom;

    @JdbcTypeCode(SqlTypes.JSON)
    private String ahead;

    /** What the edit touches; null for undo, redo and return, which touch everything. */
    @JdbcTypeCode(SqlTypes.ARRAY)
    private String[] touched;

    @Transient
    private boolean stored;

    protected RevisionRow() {}

    public RevisionRow(
            UUID document,
            int number,
            Action action,
            String edit,
            Collection<Touch> touched,
            String message,
            String author,
            Instant madeAt,
            int schema,
            String state,
            int standsAt,
            Integer cameFrom,
            List<Integer> ahead) {
        this.key = new RevisionKey(document, number);
        this.action = action;
        this.edit = edit;
        this.touched = touched == null
                ? null
                : touched.stream().map(Touch::word).sorted().toArray(String[]::new);
        this.message = message;
        this.author = author;
        this.madeAt = madeAt;
        this.schema = schema;
        this.state = state;
        this.standsAt = standsAt;
        this.cameFrom = cameFrom;
        this.ahead = ahead.stream().map(String::valueOf).collect(Collectors.joining(",", "[", "]"));
    }

    @PostLoad
    @PostPersist
    void nowStored() {
        stored = true;
    }

    @Override
    public RevisionKey getId() {
        return key;
    }

    @Override
    public boolean isNew() {
        return !stored;
    }

    public int number() {
        return key.number();
    }

    public Action action() {
        return action;
    }

    /** The edit as JSON; null for undo, redo and return. */
    public String edit() {
        return edit;
    }

    public String message() {
        return message;
    }

    public String author() {
        return author;
    }

    public Instant madeAt() {
        return madeAt;
    }

    public int schema() {
        return schema;
    }

    public String state() {
        return state;
    }

    /** The number of the edit whose result this is. */
    public int standsAt() {
        return standsAt;
    }

    /** The edit before the one this stands at; null at the first. */
    public Integer cameFrom() {
        return cameFrom;
    }

    /** Edits that redo would go to, nearest first. */
    public List<Integer> ahead() {
        return Arrays.stream(ahead.replaceAll("[\\[\\]\\s]", "").split(","))
                .filter(s -> !s.isEmpty())
                .map(Integer::valueOf)
                .toList();
    }
}
