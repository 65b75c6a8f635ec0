'use client';

import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import { BufferGeometry, Float32BufferAttribute, Matrix4, PerspectiveCamera } from 'three';
import type { Point } from '@/core/motion';
import type { Airframe } from '@/core/setup';
import { eulerMatrix, multiply } from '@/core/space';
import { ENLARGED, MARKS_M, type Eye } from './eye';
import { deflect, shapeOf, stillQuads } from '../drawing/shape';
import { loft, matrix4, Moving, Part, plate, TO_SCREEN, useColours } from '../drawing/solid';

interface SceneProps {
  airframe: Airframe;
  points: readonly Point[];
  /** Another flight of the same scenario, as a thin path. */
  other: readonly Point[];
  at: Point;
  eye: Eye;
}

const GROUND_M = 1200;
/** How far beside the path the pilot stands, and how high the eye is. */
const BESIDE_M = 85;
const EYE_M = 1.7;

/** North, east and up to the screen's axes. */
const place = ({ northM, eastM, heightM }: Point) => [eastM, heightM, -northM] as const;

/** A flight as somebody at the field sees it, or from behind. Decorative: the numbers beside say the same. */
export default function FlyScene(props: SceneProps) {
  return (
    <Canvas frameloop="demand" flat dpr={[1, 1.5]} camera={{ near: 0.1, far: 3000 }} aria-hidden>
      <Field {...props} />
    </Canvas>
  );
}

function Field({ airframe, points, other, at, eye }: SceneProps) {
  const { invalidate, camera, size } = useThree();
  const colours = useColours();
  const shape = useMemo(() => shapeOf(airframe), [airframe]);
  const body = useMemo(() => loft(shape.body), [shape]);
  const fixed = useMemo(() => stillQuads(shape).map(plate), [shape]);
  const scale = eye === 'pilot' ? ENLARGED : 1;
  const spanM = (airframe.measures.spanMm / 1000) * scale;
  const [x, y, z] = place(at);

  const stand = useMemo(() => {
    const north = points.map((p) => p.northM);
    const middle = (Math.min(...north) + Math.max(...north)) / 2;
    return [Math.min(...points.map((p) => p.eastM)) - BESIDE_M, EYE_M, -middle] as const;
  }, [points]);

  useEffect(() => {
    if (!(camera instanceof PerspectiveCamera)) return;
    const view = camera;
    const zoom = (fovDeg: number) =>
      view.setFocalLength((0.5 * view.getFilmHeight()) / Math.tan((fovDeg * Math.PI) / 360));
    if (eye === 'pilot') {
      view.position.set(...stand);
      const away = Math.hypot(x - stand[0], z - stand[2]);
      // The horizon stays in the picture, and the model in its upper part.
      const up = (Math.atan2(y - stand[1], away) * 180) / Math.PI;
      zoom(Math.max(16, Math.min(75, 1.5 * up + 14)));
      view.lookAt(x, stand[1] + away * Math.tan((0.55 * up * Math.PI) / 180), z);
    } else {
      const heading = (at.headingDeg * Math.PI) / 180;
      view.position.set(
        x - Math.sin(heading) * spanM * 3,
        y + spanM * 0.9,
        z + Math.cos(heading) * spanM * 3,
      );
      zoom(45);
      view.lookAt(x, y, z);
    }
    invalidate();
  });
  const attitude = useMemo(
    () =>
      matrix4(multiply(TO_SCREEN, eulerMatrix(at.rollDeg, at.pitchDeg, at.headingDeg)))
        .premultiply(new Matrix4().makeScale(scale / 1000, scale / 1000, scale / 1000))
        .premultiply(new Matrix4().makeTranslation(x, y, z)),
    [at, x, y, z, scale],
  );
  const marks = Math.round((2 * GROUND_M) / MARKS_M);
  return (
    <>
      <color attach="background" args={[colours.sky]} />
      <ambientLight intensity={1.7} />
      <directionalLight position={[-2, 4, 1]} intensity={1.6} />
      <mesh rotation={[-Math.PI / 2, 0, 0]} position={[0, -0.05, 0]}>
        <planeGeometry args={[2 * GROUND_M, 2 * GROUND_M]} />
        <meshBasicMaterial color={colours.ground} />
      </mesh>
      <gridHelper args={[2 * GROUND_M, marks, colours.line, colours.line]} />
      <Path points={points} colour={colours.accent} />
      {other.length > 1 && <Path points={other} colour={colours.ink} />}
      {/* Straight down to the ground: how high it is can be seen. */}
      <Path points={[at, { ...at, heightM: 0 }]} colour={colours.ink} />
      <mesh rotation={[-Math.PI / 2, 0, 0]} position={[x, 0.02, z]}>
        <circleGeometry args={[spanM * 0.35, 20]} />
        <meshBasicMaterial color={colours.ink} transparent opacity={0.35} />
      </mesh>
      <group matrixAutoUpdate={false} matrix={attitude}>
        <Part geometry={body} colour={colours.shade} edge={colours.ink} />
        {fixed.map((geometry, i) => (
          <Part key={i} geometry={geometry} colour={colours.shade} edge={colours.ink} />
        ))}
        {shape.moving.map((part, i) => {
          const moved = airframe.surfaces.findIndex((s) => s.id === part.surface.id);
          return (
            <Moving
              key={i}
              quad={deflect(part, at.surfaceDeg[moved] ?? 0)}
              colour={colours.accent}
              edge={colours.ink}
            />
          );
        })}
      </group>
      <Sized width={size.width} />
    </>
  );
}

/** Draws again when the window changes. */
function Sized({ width }: { width: number }) {
  const invalidate = useThree((s) => s.invalidate);
  useEffect(() => invalidate(), [width, invalidate]);
  return null;
}

function Path({ points, colour }: { points: readonly Point[]; colour: string }) {
  const geometry = useMemo(() => {
    const made = new BufferGeometry();
    const corners = points.slice(1).flatMap((p, i) => [...place(points[i]!), ...place(p)]);
    made.setAttribute('position', new Float32BufferAttribute(corners, 3));
    return made;
  }, [points]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  return (
    <lineSegments geometry={geometry}>
      <lineBasicMaterial color={colour} />
    </lineSegments>
  );
}
