package app.leeward.server.performer;

import app.leeward.formats.performer.DoorMessage;
import app.leeward.formats.performer.DoorWriter;
import app.leeward.server.socket.Listener;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArraySet;

/** One shot that is being played: one performer at most, and the pages that listen. */
final class Scene {
    private final Set<Listener> pages = new CopyOnWriteArraySet<>();
    private Listener performer;
    private DoorMessage.Hello who = new DoorMessage.Hello("A performer", 0);

    /** @return false when somebody else is there already */
    synchronized boolean enters(Listener asking) {
        if (performer != null) {
            tellPages(DoorWriter.problem("Another performer wants to play this shot, which " + who.name()
                    + " plays already. It was turned away."));
            return false;
        }
        performer = asking;
        who = new DoorMessage.Hello("A performer", 0);
        tellPages(DoorWriter.performer(who));
        return true;
    }

    synchronized String who() {
        return who.name();
    }

    synchronized void leaves(Listener leaving, String reason) {
        if (performer == leaving) {
            performer = null;
            tellPages(DoorWriter.gone(reason));
        }
    }

    void says(DoorMessage message) {
        if (message instanceof DoorMessage.Hello hello) {
            synchronized (this) {
                who = hello;
            }
            tellPages(DoorWriter.performer(hello));
        } else if (message instanceof DoorMessage.Signals signals) {
            tellPages(DoorWriter.signals(signals));
        } else if (message instanceof DoorMessage.Lost lost) {
            tellPages(DoorWriter.lost(lost));
        }
    }

    /** Something that the one who plays at the page ought to know. */
    void tellPages(String message) {
        pages.forEach(p -> p.tell(message));
    }

    synchronized void listens(Listener page) {
        pages.add(page);
        if (performer != null) {
            page.tell(DoorWriter.performer(who));
        }
    }

    void stopsListening(Listener page) {
        pages.remove(page);
    }

    synchronized boolean empty() {
        return performer == null && pages.isEmpty();
    }
}
