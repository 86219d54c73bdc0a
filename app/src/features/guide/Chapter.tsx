import { Image, View } from 'react-native';
import { guidePicture, type GuideChapter } from '../../persistence/guide';
import { Button } from '../../ui/Button';
import { Words } from '../../ui/Words';
import { guideWords as words } from '../../words/guide';

/** The pictures are those of a phone, shown smaller than one. */
const PICTURE = { width: 234, height: 506 };

interface ChapterProps {
  readonly chapter: GuideChapter;
  /** The title of the next one; null for the last. */
  readonly next: string | null;
  readonly onNext: () => void;
}

/** A chapter of the guide: its steps, some with a picture. */
export function Chapter({ chapter: { lead, steps }, next, onNext }: ChapterProps) {
  return (
    <>
      <Words size="body">{lead}</Words>
      <View role="list" className="gap-4">
        {steps.map(({ text, picture }, i) => (
          <View key={i} role="listitem" className="gap-2 rounded-large border border-line bg-card px-4 py-3">
            <Words>
              <Words strong>{`${i + 1}. `}</Words>
              {text.map(({ isName, text: run }, j) => (
                <Words key={j} strong={isName} tone={isName ? 'brass' : undefined}>
                  {run}
                </Words>
              ))}
            </Words>
            {picture && (
              <Image
                role="img"
                source={{ uri: guidePicture(picture.file) }}
                aria-label={picture.says}
                style={PICTURE}
                className="self-center rounded-large border border-line"
              />
            )}
          </View>
        ))}
      </View>
      {next !== null && <Button label={words.next(next)} onPress={onNext} />}
    </>
  );
}
