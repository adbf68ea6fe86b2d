// What a page does with <leeward-face>: attributes for what stands, methods for what happens, events for what is to be known.
const face = document.querySelector("leeward-face");
const at = (id) => document.getElementById(id);

function button(group, text, press) {
  const b = document.createElement("button");
  b.type = "button";
  b.textContent = text;
  b.addEventListener("click", () => press(b));
  at(group).append(b);
  return b;
}

function written() {
  const all = [...face.attributes].map((a) => `${a.name}="${a.value}"`);
  at("code").textContent = `<leeward-face ${all.join(" ")}></leeward-face>`;
}

function begin() {
  for (const [name, line] of Object.entries(face.lines))
    button("lines", `Say “${line.title}”`, () => face.say(name));
  for (const look of face.looks) {
    const one = button("looks", look, () => {
      const on = face.getAttribute("mood") !== look;
      for (const b of at("looks").children)
        b.setAttribute("aria-pressed", String(on && b === one));
      if (on) face.setAttribute("mood", look);
      else face.removeAttribute("mood");
    });
  }
  for (const cue of face.cues) button("cues", cue, () => face.play(cue));
  for (const [id, dial] of Object.entries(face.dials)) {
    const label = document.createElement("label");
    const input = document.createElement("input");
    const value = document.createElement("output");
    Object.assign(input, {
      type: "range",
      min: dial.from,
      max: dial.to,
      step: (dial.to - dial.from) / 100,
    });
    input.value = String(dial.rest);
    input.addEventListener("input", () => {
      value.textContent = Number(input.value).toFixed(1) + dial.unit;
      face.setAttribute(`dial-${id}`, input.value);
    });
    label.append(dial.name, input, value);
    at("dials").append(label);
  }
  written();
}

// it may have been there before this script was
if (face.ready) begin();
else face.addEventListener("ready", begin, { once: true });
face.addEventListener(
  "problem",
  (e) => (at("problem").textContent = e.detail.message),
);
new MutationObserver(written).observe(face, { attributes: true });

addEventListener("pointermove", (e) => {
  if (!face.ready || e.target.closest?.("input")) return;
  const box = face.getBoundingClientRect();
  const wide = Math.max(innerWidth, box.width) / 2;
  face.perform({
    "gaze-x": (e.clientX - box.left - box.width / 2) / wide,
    "gaze-y": (e.clientY - box.top - box.height / 2) / wide,
  });
});
