package app.leeward.server.store;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

/** All documents. */
public interface Documents extends JpaRepository<DocumentRow, UUID> {
    /** Held until the transaction ends, so that revisions get consecutive numbers. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select d from DocumentRow d where d.id = :id")
    Optional<DocumentRow> lock(UUID id);

    /** Without a transaction of its own: one question to the database, for what is asked with every pose. */
    @Query("select d from DocumentRow d where d.id = :id")
    Optional<DocumentRow> peek(UUID id);

    /** Those that were not put away. */
    @Query("select d from DocumentRow d where d.kind = :kind and d.putAway is null order by d.createdAt, d.id")
    Page<DocumentRow> all(DocumentKind kind, Pageable page);

    /** Those of a name that were not put away. */
    @Query("select d from DocumentRow d where d.kind = :kind and d.name = :name and d.putAway is null")
    List<DocumentRow> named(DocumentKind kind, String name);

    /** Those that were, the last one first. */
    @Query("select d from DocumentRow d where d.kind = :kind and d.putAway is not null order by d.putAway desc, d.id")
    Page<DocumentRow> away(DocumentKind kind, Pageable page);

    @Modifying
    @Transactional
    @Query(nativeQuery = true, value = "update document set put_away = now() where id = :id and put_away is null")
    int putAway(UUID id);

    @Modifying
    @Transactional
    @Query(nativeQuery = true, value = "update document set put_away = null where id = :id")
    int bringBack(UUID id);

    /** Those that were changed last, of owners that were not put away either. */
    @Query(
            """
            select d from DocumentRow d, DocumentRow o where d.kind = :kind and d.belongsTo = o.id and d.putAway is null
              and o.putAway is null order by d.changedAt desc, d.id""")
    List<DocumentRow> latest(DocumentKind kind, Pageable page);

    /** Those of one owner that were not put away. */
    @Query(
            "select d from DocumentRow d where d.kind = :kind and d.belongsTo = :owner and d.putAway is null order by d.createdAt, d.id")
    Page<DocumentRow> of(DocumentKind kind, UUID owner, Pageable page);

    /** Those of one owner that were, the last one first. */
    @Query(
            "select d from DocumentRow d where d.kind = :kind and d.belongsTo = :owner and d.putAway is not null order by d.putAway desc, d.id")
    Page<DocumentRow> awayOf(DocumentKind kind, UUID owner, Pageable page);

    boolean existsByKindAndBelongsToAndNameAndPutAwayIsNull(DocumentKind kind, UUID belongsTo, String name);

    boolean existsByKindAndName(DocumentKind kind, String name);
}
