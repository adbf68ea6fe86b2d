package app.leeward.core.intake;

import app.leeward.core.rig.PartRole;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What parts of a figure are called, in the languages riggers name layers in: English, German, French, Spanish. */
final class Vocabulary {
    private static final Map<PartRole, List<String>> PHRASES = new LinkedHashMap<>();

    private Vocabulary() {}

    /** Phrases of words in lower case without accents, singular. */
    static Map<PartRole, List<String>> phrases() {
        return PHRASES;
    }

    private static void call(PartRole role, String phrases) {
        PHRASES.computeIfAbsent(role, r -> new ArrayList<>()).addAll(List.of(phrases.split(", ")));
    }

    static {
        call(PartRole.WHITE, "eye white, white of the eye, white, sclera, eyeball, eye ball, eye fill");
        call(PartRole.WHITE, "augenweiss, augapfel, blanc oeil, blanc de l oeil, blanco ojo, blanco del ojo");
        call(PartRole.EYE_OUTLINE, "eye outline, eye line, eye contour, eye rim, eyeline");
        call(PartRole.EYE_OUTLINE, "augen kontur, augenkontur, augenlinie, contour oeil, contorno ojo");
        call(PartRole.UPPER_LID, "upper lid, upper eyelid, top lid, top eyelid, eyelid, lid");
        call(PartRole.UPPER_LID, "oberlid, augenlid, paupiere superieure, paupiere, parpado superior, parpado");
        call(PartRole.LOWER_LID, "lower lid, lower eyelid, bottom lid, bottom eyelid");
        call(PartRole.LOWER_LID, "unterlid, paupiere inferieure, parpado inferior");
        call(
                PartRole.LASHES,
                "lashes, eyelashes, eye lashes, lash, eyelash, wimpern, wimper, cils, cil, pestanas, pestana");
        call(PartRole.BLINK, "blink, eye blink, eye closed, closed eye, eye shut, shut eye, closed lid, wink");
        call(PartRole.BLINK, "blinzeln, auge geschlossen, auge zu, clignement, oeil ferme, parpadeo, ojo cerrado");
        call(PartRole.HIGHLIGHT, "highlight, eye highlight, glint, eye light, catch light, catchlight, sparkle");
        call(PartRole.HIGHLIGHT, "eye shine, eye gloss, eye reflection, eye spark, eye glow, shine");
        call(PartRole.HIGHLIGHT, "glanzlicht, glanzpunkt, glanz, augenglanz, reflet, brillo");
        call(PartRole.IRIS, "iris, eye iris");
        call(PartRole.PUPIL, "pupil, eye pupil, pupille, pupila");
        call(PartRole.BROW, "brow, eyebrow, eye brow, augenbraue, braue, sourcil, ceja");
        call(PartRole.EYE, "eye, auge, oeil, yeux, ojo");
        call(PartRole.NOSE, "nose, beak nose, nostril, nase, nuester, nuster, nez, naseau, narine, nariz");
        call(PartRole.MUZZLE, "muzzle, snout, schnauze, museau, hocico");
        call(PartRole.WHISKERS, "whisker, schnurrhaare, schnurrhaar, moustaches chat, bigotes gato, vibrisse");
        call(PartRole.MOUTH, "mouth, lips, muzzle mouth, lip sync, beak, mund, schnabel, bouche, bec, boca, pico");
        call(PartRole.BEARD, "beard, goatee, bart, barbe, barba");
        call(PartRole.MOUSTACHE, "moustache, mustache, schnurrbart, bigote");
        call(PartRole.EAR, "ear, outer ear, ohr, oreille, oreja");
        call(
                PartRole.INNER_EAR,
                "inner ear, ear inside, ohr innen, innenohr, oreille interieur, oreille interieure, oreja interior");
        call(PartRole.CHEEK, "cheek, blush, cheek blush, wange, joue, mejilla");
        call(PartRole.FRECKLES, "freckle, sommersprossen, taches de rousseur, tache de rousseur, pecas, peca");
        call(
                PartRole.FACE,
                "face, face skin, skin, face shape, head skin, head shape, face base, head base, face fill, head fill");
        call(PartRole.FACE, "skull, gesicht, haut, schaedel, schadel, visage, peau, crane, cara, piel, craneo");
        call(
                PartRole.FACE_LINE,
                "head line, face line, head outline, face outline, head contour, face contour, skin line, skin outline");
        call(
                PartRole.FACE_LINE,
                "gesicht kontur, gesichtskontur, kopf kontur, kopfkontur, contour visage, contour tete, contorno cara, contorno cabeza");
        call(PartRole.HEAD, "head, head group, face group, kopf, tete, cabeza");
        call(PartRole.EXTRA_HAIR, "extra hair, turn hair, hair turned");
        call(
                PartRole.BACK_HAIR,
                "back hair, rear hair, hair behind, haare hinten, haar hinten, cheveux arriere, pelo atras, cabello atras");
        call(
                PartRole.SIDE_HAIR,
                "side hair, sideburn, side burn, temple hair, haare seite, haar seite, cheveux cote, pelo lado");
        call(
                PartRole.FRINGE,
                "fringe, bang, front hair, hair, forelock, pony, haare, haar, frange, toupet, meche, cheveux, flequillo, pelo, cabello");
        call(PartRole.HORN, "horn, tuft, antler, geweih, corne, cuerno");
        call(PartRole.ANTENNA, "antenna, aerial, feeler, antenne, antena");
        call(
                PartRole.CAP,
                "cap, skull cap, hat, beanie, turban, headband, bonnet, helmet, cap crown, hat crown, hut, muetze, mutze, kappe, chapeau, casquette, sombrero, gorra");
        call(
                PartRole.CAP,
                "ushanka, fedora, trilby, bowler, beret, fez, kepi, snapback, helm, melone, baskenmuetze, casque, boina, casco");
        call(
                PartRole.CAP_BAND,
                "cap band, hat band, hatband, hutband, mutzenband, bande chapeau, ruban chapeau, banda sombrero, cinta sombrero");
        call(
                PartRole.CAP_PEAK,
                "cap peak, hat peak, cap visor, hat brim, cap brim, hat visor, visor, brim, peak, hutschirm, hutkrempe, krempe, visiere, visera");
        call(
                PartRole.CAP_BADGE,
                "cap badge, hat badge, cap button, hat button, cap pompom, hat pompom, hat feather, cap feather, hat ticket, hat flower,"
                        + " hut abzeichen, hutabzeichen, hutknopf, insigne chapeau, bouton chapeau, insignia sombrero, boton sombrero");
        call(
                PartRole.GLASSES,
                "glasses, glasses frame, spectacles, eyeglasses, frame, goggles, brille, brillengestell, lunettes, gafas, anteojos");
        call(PartRole.LENS, "lens, glasses lens, glass, brillenglas, linse, verre lunettes, verre, lente");
        call(PartRole.NECK, "neck, hals, cou, cuello");
        call(PartRole.COLLAR, "collar, scarf, neckerchief, coat collar, kragen, schal, col, echarpe, bufanda");
        // worn on the head or about the neck: where it lies says which
        call(PartRole.COLLAR, "headscarf, hood, shawl, bandana, kopftuch, kapuze, foulard, capuche, panuelo, capucha");
        call(
                PartRole.TORSO,
                "torso, body, shoulder, bust, belly, tummy, chest, coat, upper body, trunk, shirt, dress, koerper, korper, rumpf, schulter, schultern, oberkoerper, bauch, corps, epaule, buste, ventre, cuerpo, hombro, busto, vientre");
        call(PartRole.UPPER_ARM, "upper arm, arm, bicep, wing, fluegel, flugel, aile, ala, oberarm, bras, brazo");
        call(PartRole.FOREARM, "forearm, fore arm, lower arm, unterarm, avant bras, antebrazo");
        call(PartRole.HAND, "hand, fist, paw, wing tip, faust, pfote, main, mano");
        call(PartRole.HIPS, "hips, hip, pelvis, huefte, hufte, hanche, cadera");
        call(PartRole.THIGH, "thigh, upper leg, leg, oberschenkel, bein, cuisse, jambe, muslo, pierna");
        call(PartRole.SHIN, "shin, lower leg, calf, unterschenkel, tibia, pantorrilla");
        call(PartRole.FOOT, "foot, feet, shoe, boot, fuss, schuh, pied, chaussure, pie, zapato");
        call(PartRole.TAIL, "tail, schwanz, queue, cola");
    }
}
