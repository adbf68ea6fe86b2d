package app.leeward.server.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** The queue of files that are asked for; long is counted in frames. */
public interface Exports extends JpaRepository<ExportRow, UUID>, WorkQueue {
    /** Those of a character, the newest first. */
    @Query("select e from ExportRow e where e.character = :character order by e.askedAt desc limit 50")
    List<ExportRow> of(UUID character);

    boolean existsByCharacter(UUID character);

    @Query("select count(e) from ExportRow e where e.state in (WAITING, MAKING)")
    long countUnfinished();

    @Query(
            "select count(e) from ExportRow e where e.state in (WAITING, MAKING) and e.client like concat(:address, ' %')")
    long countUnfinishedFrom(String address);

    @Query("select count(e) from ExportRow e where e.state = WAITING and e.askedAt < :askedAt")
    long waitingBefore(Instant askedAt);

    @Override
    @Query(nativeQuery = true, value = "select 1 from (select pg_advisory_xact_lock(7311)) held")
    int holdTheQueue();

    @Override
    @Query(
            nativeQuery = true,
            value =
                    """
                    update export set state = 'MAKING', taken_by = :by where id = (
                      select w.id from export w
                      where w.state = 'WAITING' and (w.frames < :longer
                        or not exists (select 1 from export e where e.state = 'MAKING' and e.frames >= :longer))
                      order by
                        (select count(*) from export e where e.state = 'MAKING' and e.client = w.client),
                        coalesce((select max(e.ended_at) from export e where e.client = w.client), 'epoch'::timestamptz),
                        w.asked_at
                      limit 1)
                    returning id""")
    Optional<UUID> take(String by, double longer);

    @Override
    @Modifying
    @Query(
            nativeQuery = true,
            value = "update export set state = 'WAITING', taken_by = null where state = 'MAKING' and taken_by = :by")
    int putBack(String by);

    @Override
    @Modifying
    @Query(
            nativeQuery = true,
            value = "update export set share = :share where id = :id and state = 'MAKING' and taken_by = :by")
    int reached(UUID id, String by, double share);

    @Override
    @Modifying
    @Query(
            nativeQuery = true,
            value =
                    """
                    update export set state = :state, share = 1, ended_at = now(), problem = cast(:problem as jsonb),
                      bytes = coalesce((select sum(length(p.bytes)) from export_piece p where p.export = :id), 0)
                    where id = :id and state = 'MAKING' and taken_by = :by""")
    int end(UUID id, String by, String state, String problem);

    /** @return 0 when it had ended already */
    @Modifying
    @Query(
            nativeQuery = true,
            value =
                    "update export set state = 'CANCELLED', ended_at = now() where id = :id and state in ('WAITING', 'MAKING')")
    int cancel(UUID id);

    /** Ended ones, with their files, go after a while. */
    @Modifying
    @Query(nativeQuery = true, value = "delete from export where ended_at < :before")
    int forget(Instant before);

    /** @return 0 when it was cancelled in the meantime, and the piece was not kept */
    @Modifying
    @Query(
            nativeQuery = true,
            value =
                    """
                    insert into export_piece (export, number, bytes)
                    select id, :number, :bytes from export where id = :id and state = 'MAKING' and taken_by = :by""")
    int putPiece(UUID id, String by, int number, byte[] bytes);

    /** A piece of a file, in a list of one; as bytes alone they would be converted one by one. Empty behind the last. */
    @Query(nativeQuery = true, value = "select bytes from export_piece where export = :id and number = :number")
    List<byte[]> piece(UUID id, int number);

    @Modifying
    @Query(nativeQuery = true, value = "delete from export_piece where export = :id")
    int dropPieces(UUID id);
}
