'use client';

import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import { DoubleSide } from 'three';
import { kindOf, type Airframe, type Axis, type Mounting } from '@/core/setup';
import { eulerMatrix, mountingMatrix, multiply } from '@/core/space';
import { deflect, shapeOf, stillQuads, type Point } from '../drawing/shape';
import { Moving, Part, TO_SCREEN, loft, matrix4, plate, useColours } from '../drawing/solid';

interface SceneProps {
  airframe: Airframe;
  attitudeDeg: Record<Axis, number>;
  surfaceDeg: readonly number[];
  correctionPct: readonly number[];
  mounting: Mounting;
  unitAt: { x: number; y: number; z: number };
  motorPct: number;
}

/** The model from behind and slightly above. Decorative: the text twin says the same in words. */
export default function RigScene(props: SceneProps) {
  const radius = shapeOf(props.airframe).radiusMm;
  return (
    <Canvas
      frameloop="demand"
      flat
      dpr={[1, 2]}
      camera={{
        fov: 38,
        near: radius * 0.05,
        far: radius * 10,
      }}
      aria-hidden
    >
      <Model {...props} />
    </Canvas>
  );
}

function Model({
  airframe,
  attitudeDeg,
  surfaceDeg,
  correctionPct,
  mounting,
  unitAt,
  motorPct,
}: SceneProps) {
  const invalidate = useThree((s) => s.invalidate);
  const camera = useThree((s) => s.camera);
  const size = useThree((s) => s.size);
  const colours = useColours();
  const shape = useMemo(() => shapeOf(airframe), [airframe]);
  const body = useMemo(() => loft(shape.body), [shape]);
  const fixed = useMemo(() => stillQuads(shape).map(plate), [shape]);
  useEffect(() => {
    // In a narrow window the eye steps back until the wings fit.
    const back = Math.max(1, 1.7 / (size.width / size.height));
    camera.position.set(0, shape.radiusMm * 0.95 * back, shape.radiusMm * 2.1 * back);
    camera.lookAt(0, 0, 0);
  }, [camera, shape, size]);
  const attitude = matrix4(
    multiply(TO_SCREEN, eulerMatrix(attitudeDeg.roll, attitudeDeg.pitch, attitudeDeg.yaw)),
  );
  useEffect(() => invalidate());
  const half = airframe.measures.spanMm / 2;
  const length = airframe.measures.lengthMm;
  const [roll = 0, pitch = 0, yaw = 0] = correctionPct;
  return (
    <>
      <ambientLight intensity={1.6} />
      <directionalLight position={[1, 3, 2]} intensity={1.8} />
      <gridHelper
        args={[shape.radiusMm * 5, 20, colours.line, colours.line]}
        position={[0, -shape.radiusMm * 0.75, 0]}
      />
      <group matrixAutoUpdate={false} matrix={attitude}>
        <Part geometry={body} colour={colours.shade} edge={colours.ink} />
        {fixed.map((geometry, i) => (
          <Part key={i} geometry={geometry} colour={colours.shade} edge={colours.ink} />
        ))}
        {shape.moving.map((part, i) => {
          const { surface } = part;
          const at = airframe.surfaces.findIndex((s) => s.id === surface.id);
          const deg = surfaceDeg[at] ?? 0;
          return (
            <Moving key={i} quad={deflect(part, deg)} colour={colours.accent} edge={colours.ink} />
          );
        })}
        <UnitBox
          mounting={mounting}
          at={unitAt}
          size={length * 0.035}
          colour={colours.ink}
          arrow={colours.card}
          z={shape.body[1]!.top}
        />
        {/* What the unit pushes: each arrow where the push is felt. */}
        <Push
          from={[0, half * 0.8, -60]}
          dir={[0, 0, 1]}
          pct={roll}
          size={length}
          colour={colours.focus}
        />
        <Push
          from={[0, -half * 0.8, -60]}
          dir={[0, 0, -1]}
          pct={roll}
          size={length}
          colour={colours.focus}
        />
        <Push
          from={[0.36 * length, 0, -60]}
          dir={[0, 0, -1]}
          pct={pitch}
          size={length}
          colour={colours.focus}
        />
        <Push
          from={[0.36 * length, 0, -60]}
          dir={[0, 1, 0]}
          pct={yaw}
          size={length}
          colour={colours.focus}
        />
        {motorPct > 1 && !kindOf(airframe).onSurface && (
          <mesh position={[shape.body[0]!.x + 8, 0, 0]} rotation={[0, Math.PI / 2, 0]}>
            <ringGeometry args={[6, length * 0.13, 24]} />
            <meshBasicMaterial color={colours.ink} transparent opacity={0.25} side={DoubleSide} />
          </mesh>
        )}
      </group>
    </>
  );
}

function UnitBox({
  mounting,
  at,
  size,
  colour,
  arrow,
  z,
}: {
  mounting: Mounting;
  at: { x: number; y: number; z: number };
  size: number;
  colour: string;
  arrow: string;
  z: number;
}) {
  const matrix = useMemo(
    () => matrix4(mountingMatrix(mounting)).setPosition(at.x, at.y, at.z + z - size),
    [mounting, at, size, z],
  );
  return (
    <group matrixAutoUpdate={false} matrix={matrix}>
      <mesh>
        <boxGeometry args={[size * 2, size * 1.4, size * 0.7]} />
        <meshLambertMaterial color={colour} />
      </mesh>
      <mesh position={[size * 0.3, 0, -size * 0.4]} rotation={[0, 0, -Math.PI / 2]}>
        <coneGeometry args={[size * 0.4, size * 0.9, 3]} />
        <meshBasicMaterial color={arrow} />
      </mesh>
    </group>
  );
}

/** An arrow as long as the correction is large; none when it is small. */
function Push({
  from,
  dir,
  pct,
  size,
  colour,
}: {
  from: Point;
  dir: Point;
  pct: number;
  size: number;
  colour: string;
}) {
  if (Math.abs(pct) < 2) return null;
  const long = Math.min(1, Math.abs(pct) / 100) * size * 0.3 + size * 0.05;
  const sign = Math.sign(pct);
  const middle = from.map((v, i) => v + (sign * dir[i]! * long) / 2) as unknown as Point;
  const tip = from.map((v, i) => v + sign * dir[i]! * long) as unknown as Point;
  const rotation: [number, number, number] =
    dir[1] !== 0
      ? [0, 0, sign * dir[1] > 0 ? 0 : Math.PI]
      : [sign * dir[2] > 0 ? Math.PI / 2 : -Math.PI / 2, 0, 0];
  return (
    <>
      <mesh position={[...middle]} rotation={rotation}>
        <cylinderGeometry args={[size * 0.008, size * 0.008, long, 6]} />
        <meshBasicMaterial color={colour} />
      </mesh>
      <mesh position={[...tip]} rotation={rotation}>
        <coneGeometry args={[size * 0.025, size * 0.06, 10]} />
        <meshBasicMaterial color={colour} />
      </mesh>
    </>
  );
}
