package app.leeward.server.performer;

import app.leeward.formats.performer.DoorReader;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;
import org.springframework.web.socket.server.standard.ServletServerContainerFactoryBean;

/**
 * Where the sockets are. A browser says which page it asks for; other pages than ours are turned away at the handshake, and programs
 * that are no browsers say nothing and are let in, as everywhere here.
 */
@Configuration
@EnableWebSocket
class PerformerSockets implements WebSocketConfigurer {
    private static final long IDLE = 120_000;

    private final PerformerDoor performers;
    private final PageSeat pages;
    private final ShotAsked shots;
    private final VoiceDoor voices;

    PerformerSockets(PerformerDoor performers, PageSeat pages, ShotAsked shots, VoiceDoor voices) {
        this.performers = performers;
        this.pages = pages;
        this.shots = shots;
        this.voices = voices;
    }

    @Override
    public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
        registry.addHandler(performers, "/api/v1/performers/*").addInterceptors(shots);
        registry.addHandler(pages, "/api/v1/performers/*/page").addInterceptors(shots);
        registry.addHandler(voices, "/api/v1/voices");
    }

    @Bean
    ServletServerContainerFactoryBean socketLimits() {
        ServletServerContainerFactoryBean limits = new ServletServerContainerFactoryBean();
        limits.setMaxTextMessageBufferSize(DoorReader.LONGEST);
        limits.setMaxBinaryMessageBufferSize(VoiceDoor.LONGEST);
        limits.setMaxSessionIdleTimeout(IDLE);
        return limits;
    }
}
