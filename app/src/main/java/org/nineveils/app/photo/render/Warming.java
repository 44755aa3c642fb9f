package org.nineveils.app.photo.render;

import java.util.List;
import java.util.Random;
import org.nineveils.blend.BlendMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.file.PictureWriter;
import org.nineveils.mask.Mask;
import org.nineveils.picture.Picture;
import org.nineveils.setting.SettingValues;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Runs every kind of veil some times in the background after a start, so that the engine's loops
 * are machine code by the time a hand moves. The first page comes first.
 */
@Component
class Warming {
  private static final int WIDTH = 480;
  private static final int HEIGHT = 320;
  private static final int ROUNDS = 12;
  private static final int FIRST_PAGE_MS = 2500;

  private final boolean wanted;

  Warming(@Value("${nineveils.warming:true}") boolean wanted) {
    this.wanted = wanted;
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    if (wanted) {
      Thread thread = new Thread(Warming::run, "warming");
      thread.setDaemon(true);
      thread.start();
    }
  }

  private static void run() {
    try {
      Thread.sleep(FIRST_PAGE_MS);
    } catch (InterruptedException e) {
      return; // the application ends
    }
    Picture photo = noise();
    for (int round = 0; round < ROUNDS; round++) {
      for (VeilKind kind : Kinds.all()) {
        Manner manner = Manner.exact().quick(round % 2 == 0);
        Picture done = Renderer.render(photo, photo.area(), one(kind), manner);
        PictureWriter.jpeg(done, 0.9f);
      }
    }
  }

  private static Stack one(VeilKind kind) {
    SettingValues sample = SettingValues.parse(kind.settings(), kind.sample());
    return Stack.of(
        Bundle.of(
            List.of(
                new Veil(
                    kind.id(),
                    kind.label(),
                    kind,
                    sample,
                    BlendMode.NORMAL,
                    0.8,
                    false,
                    Mask.EVERYWHERE,
                    ""))));
  }

  private static Picture noise() {
    Random random = new Random(1);
    Picture p = Picture.blank(WIDTH, HEIGHT);
    for (int i = 0; i < p.r().length; i++) {
      p.r()[i] = random.nextFloat();
      p.g()[i] = random.nextFloat();
      p.b()[i] = random.nextFloat();
    }
    return p;
  }
}
