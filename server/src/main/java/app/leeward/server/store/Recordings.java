package app.leeward.server.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** Recordings of many lines, in pieces, while lines are being cut out of them. */
public interface Recordings extends Repository<ReadingRow, UUID> {
    @Modifying
    @Query(
            nativeQuery = true,
            value =
                    "insert into recording (id, character, name, client, made_at) values (:id, :character, :name, :client, :at)")
    void begin(UUID id, UUID character, String name, String client, Instant at);

    @Modifying
    @Query(
            nativeQuery = true,
            value =
                    "insert into recording_piece (recording, number, seconds, wav) values (:id, :number, :seconds, :wav)")
    void add(UUID id, int number, double seconds, byte[] wav);

    /** Lengths of the pieces in their order, seconds; none when there is no such recording. */
    @Query(nativeQuery = true, value = "select seconds from recording_piece where recording = :id order by number")
    List<Double> pieces(UUID id);

    /** In a list of one; as bytes alone they would be converted one by one. */
    @Query(nativeQuery = true, value = "select wav from recording_piece where recording = :id and number = :number")
    List<byte[]> piece(UUID id, int number);

    @Query(nativeQuery = true, value = "select character from recording where id = :id")
    Optional<UUID> character(UUID id);

    @Query(nativeQuery = true, value = "select count(*) from recording where client = :client")
    long countFrom(String client);

    /** Those that nothing is to be cut out of any more, some time after they came. */
    @Modifying
    @Query(
            nativeQuery = true,
            value =
                    """
                    delete from recording r where r.made_at < :before and not exists (
                      select 1 from reading w where w.recording = r.id and w.state in ('WAITING', 'READING'))""")
    int forget(Instant before);
}
