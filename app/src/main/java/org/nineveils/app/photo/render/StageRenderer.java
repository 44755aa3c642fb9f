package org.nineveils.app.photo.render;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Map;
import java.util.function.Function;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.BudgetKeep;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.OutSpace;
import org.nineveils.file.PictureReader;
import org.nineveils.file.PictureWriter;
import org.nineveils.mask.Coverage;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Quantise;
import org.nineveils.proof.Histogram;
import org.nineveils.stack.Cancel;
import org.nineveils.stack.CoverageCache;
import org.nineveils.stack.LiveView;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Preparations;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;

/**
 * Renders for stages. An answer is one packet: four bytes with the length of a JSON head (big
 * endian), the head, then R, G, B, 255 for each pixel. Raw pixels cost a quarter of what JPEG
 * coding costs on one machine, and they are exact. A stage that says which picture of its view it
 * has is sent only the part that is new.
 */
@Service
public class StageRenderer {
  private final PhotoService photos;
  private final Thumbnails thumbnails;
  private final PlacedPictures shelf;
  private final CoverageCache coverage;
  private final Preparations preparations;
  private final Precedence precedence;
  private final Views views;
  private final ObjectProvider<LiveReadings> live;

  StageRenderer(
      PhotoService photos,
      Thumbnails thumbnails,
      PlacedPictures shelf,
      Preparations preparations,
      Precedence precedence,
      Budget budget,
      ObjectProvider<LiveReadings> live) {
    this.photos = photos;
    this.thumbnails = thumbnails;
    this.shelf = shelf;
    this.coverage = new CoverageCache(new BudgetKeep<>(budget, "coverage"));
    this.preparations = preparations;
    this.precedence = precedence;
    this.views = new Views(budget);
    this.live = live;
  }

  /**
   * Renders what a stage asks for.
   *
   * @throws org.nineveils.stack.Cancelled if the same view asked again meanwhile
   */
  public byte[] packet(Photo photo, StageRequest request, Stack stack) {
    // Counted as it comes, not when its turn comes: one that waited is never newer than one that
    // came after.
    Cancel cancel = views.newest(request.view());
    return precedence.stage(() -> rendered(photo, request, stack, cancel));
  }

  private byte[] rendered(Photo photo, StageRequest request, Stack stack, Cancel cancel) {
    Picture source = source(photo, request);
    boolean preview = source.longSide() < Math.max(photo.width(), photo.height());
    Manner manner = new Manner(coverage, preparations, shelf, cancel, preview);
    long start = System.nanoTime();
    if (request.area() != null || request.plain() || request.view().isEmpty()) {
      Area area = wanted(request, source);
      Picture out = Renderer.render(source, area, request.wanted(stack), manner);
      Map<String, Object> head = head(photo, source, area);
      if (request.plain()) {
        head.put("luma", Histogram.luma(out));
      }
      return pack(head, out, Part.whole(out), start);
    }
    LiveView view = views.live(request.view());
    synchronized (view) { // its picture changes with the next request
      LiveView.Finished next = view.render(source, stack, manner);
      views.rendered(request.view(), view);
      boolean patch = request.have() == next.turn() - 1 && !next.changed().equals(source.area());
      Area area = patch ? next.changed() : source.area();
      Map<String, Object> head = head(photo, source, area);
      head.putAll(Json.object("turn", next.turn(), "patch", patch));
      Part whole = Part.whole(next.picture());
      return pack(head, next.picture(), patch ? whole.cut(area) : whole, start);
    }
  }

  /**
   * The photo at the wanted size. One that is wanted soon and not at hand is read from its small
   * picture, as lists show it.
   */
  private Picture source(Photo photo, StageRequest request) {
    int longSide = request.longSide();
    if (request.soon() && longSide <= Thumbnails.LONG_SIDE && !photos.isAtHand(photo, longSide)) {
      Thumbnails.Small small = thumbnails.plain(photo);
      if (thumbnails.isKept(small.key())) {
        return PictureReader.read(small.picture(), photo.name());
      }
    }
    return photos.scaled(photo, longSide);
  }

  /** What is measured of a stack while it is edited: a packet without pixels. */
  public byte[] livePacket(Photo photo, Stack stack, Fields wanted) {
    Manner manner = new Manner(coverage, preparations, shelf, Cancel.NEVER, true);
    Map<String, Object> head = Json.object("width", 0, "height", 0);
    head.putAll(precedence.list(() -> live.getObject().of(photo, stack, manner, wanted)));
    return packet(head, 0);
  }

  /** Where a veil covers: a packet whose alpha is the coverage. */
  public byte[] maskPacket(Photo photo, StageRequest request, Mask mask, Paint paint) {
    Picture source = photos.scaled(photo, request.longSide());
    Area area = wanted(request, source);
    return coverPacket(
        photo, source, area, coverage.coverage(mask, paint, source, area).cut(area).values());
  }

  /**
   * The same for a coverage that is worked out otherwise.
   *
   * @param cover gives the coverage of every pixel of the plain photo at the wanted size
   */
  public byte[] coverPacket(Photo photo, StageRequest request, Function<Picture, float[]> cover) {
    Picture source = photos.scaled(photo, request.longSide());
    Area area = wanted(request, source);
    float[] values = new Coverage(source.area(), cover.apply(source)).cut(area).values();
    return coverPacket(photo, source, area, values);
  }

  private byte[] coverPacket(Photo photo, Picture source, Area area, float[] values) {
    byte[] packet = packet(head(photo, source, area), values.length);
    int alpha = firstPixel(packet, values.length) + 3;
    for (int i = 0; i < values.length; i++) {
      packet[alpha + 4 * i] = (byte) Quantise.to8(values[i]);
    }
    return packet;
  }

  /** Writes the finished picture at full size to a file. */
  public void write(Photo photo, Stack stack, Result how, Path file) {
    write(photos.full(photo), stack, how, photos.file(photo), file);
  }

  /**
   * Writes a picture through a stack, exactly, to a file.
   *
   * @param photo the file that the picture was read from
   */
  public void write(Picture full, Stack stack, Result how, byte[] photo, Path file) {
    Manner exact = Manner.exact().picturesFrom(shelf);
    Picture sized = how.sized(full);
    PictureWriter.write(
        Renderer.strips(sized, how.worn(stack, sized), exact),
        how.format(),
        how.quality(),
        OutSpace.of(how.space(), photo),
        how.data(photo),
        file);
  }

  /** The part of the wanted area that lies in the picture; all of it where none is named. */
  private static Area wanted(StageRequest request, Picture source) {
    if (request.area() == null) {
      return source.area();
    }
    Area a = request.area();
    int x = Math.min(a.x(), source.width() - 1);
    int y = Math.min(a.y(), source.height() - 1);
    return new Area(
        x, y, Math.min(a.width(), source.width() - x), Math.min(a.height(), source.height() - y));
  }

  /** Packs the sent part of a picture, with figures of the whole. */
  private static byte[] pack(Map<String, Object> head, Picture whole, Part sent, long start) {
    int pixels = sent.area().pixels();
    byte[] rgba = new byte[4 * pixels];
    Quantise.toRgba8(sent.picture(), rgba, 0);
    Histogram h =
        sent.area().equals(whole.area()) ? Histogram.ofRgba8(rgba, 0, pixels) : Histogram.of(whole);
    head.putAll(
        Json.object(
            "red", h.red(),
            "green", h.green(),
            "blue", h.blue(),
            "blown", h.blown(),
            "blocked", h.blocked(),
            "millis", (System.nanoTime() - start) / 1e6));
    byte[] packet = packet(head, pixels);
    System.arraycopy(rgba, 0, packet, firstPixel(packet, pixels), rgba.length);
    return packet;
  }

  private static Map<String, Object> head(Photo photo, Picture whole, Area area) {
    return Json.object(
        "width", area.width(),
        "height", area.height(),
        "x", area.x(),
        "y", area.y(),
        "wholeWidth", whole.width(),
        "wholeHeight", whole.height(),
        "photoWidth", photo.width(),
        "photoHeight", photo.height());
  }

  /** A packet with its head, and room for the pixels. */
  private static byte[] packet(Map<String, Object> head, int pixels) {
    byte[] text = Json.write(head).getBytes(StandardCharsets.UTF_8);
    byte[] packet = new byte[4 + text.length + pixels * 4];
    ByteBuffer.wrap(packet).putInt(text.length).put(text);
    return packet;
  }

  private static int firstPixel(byte[] packet, int pixels) {
    return packet.length - pixels * 4;
  }
}
