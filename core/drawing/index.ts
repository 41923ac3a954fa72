export { cordOf, cordOfStream, type Cord, type CordPiece, type CordStop, type Texture } from "./cord";
export { curvePath, directCurve, middleOf, passingCurve, zigzagAlong, type Curve } from "./curve";
export { LAYERS, layerOf, THIN, type CableDrawing, type Layer, type LayerKey } from "./layers";
export { passingHeights, PLATE, placePlates, type PlacedPlate, type Side } from "./map-layout";
export { mapSvg, type MapPrint } from "./map-svg";
export { passedDevices, scoreColumns, stopsOf, type ScoreColumn } from "./score-columns";
export { zigzag } from "./zigzag";
export { PAPERS, templatePages, templateSvg, type Paper, type PrintedPage } from "./template-svg";
export { escapeXml } from "./xml";
