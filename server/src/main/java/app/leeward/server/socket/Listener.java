package app.leeward.server.socket;

/** One that can be told something. */
public interface Listener {
    /** Must not wait for whoever is slow. */
    void tell(String message);
}
