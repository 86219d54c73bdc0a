import ArrowLeft from 'lucide-react-native/icons/chevron-left';
import Flame from 'lucide-react-native/icons/flame';
import { useEffect, useRef, useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { type GuideChapter, readGuide } from '../../persistence/guide';
import { Button, IconButton } from '../../ui/Button';
import { Words } from '../../ui/Words';
import { guideWords as words } from '../../words/guide';
import { Chapter } from './Chapter';

interface GuideProps {
  readonly onBack: () => void;
  readonly onTryIt: () => void;
}

/** The guide: its chapters in a list, or one of them. */
export function Guide({ onBack, onTryIt }: GuideProps) {
  const [chapters, setChapters] = useState<readonly GuideChapter[] | null>(null);
  const [isMissing, setMissing] = useState(false);
  const [at, setAt] = useState<number | null>(null);
  const page = useRef<ScrollView>(null);
  useEffect(() => {
    readGuide().then(setChapters, () => setMissing(true));
  }, []);
  const go = (to: number | null): void => {
    setAt(to);
    page.current?.scrollTo({ y: 0, animated: false });
  };
  const chapter = at === null ? undefined : chapters?.[at];
  return (
    <View className="min-h-0 flex-1">
      <View className="h-[48px] flex-row items-center border-b border-line bg-card pr-2">
        <IconButton
          label={chapter ? words.allChapters : words.back}
          icon={ArrowLeft}
          onPress={chapter ? () => go(null) : onBack}
        />
        <Words role="heading" aria-level={1} size="title" strong numberOfLines={1}>
          {chapter?.title ?? words.title}
        </Words>
      </View>
      <ScrollView ref={page} contentContainerClassName="mx-auto w-full max-w-[760px] gap-3 px-4 pb-6 pt-3">
        {isMissing && (
          <Words role="alert" tone="plum">
            {words.missing}
          </Words>
        )}
        {!chapters && !isMissing && (
          <Words role="status" tone="soft">
            {words.loading}
          </Words>
        )}
        {chapters && !chapter && (
          <>
            <Button label={words.tryIt} kind="brass" icon={Flame} onPress={onTryIt} />
            <Words tone="soft">{words.tryItHelp}</Words>
            <Words tone="soft">{words.guideHelp}</Words>
            <View role="list" aria-label={words.title} className="gap-2">
              {chapters.map(({ id, title, lead }, i) => (
                <View key={id} role="listitem" testID={`chapter-${id}`}>
                  <Pressable
                    role="button"
                    aria-label={words.open(i + 1, title)}
                    onPress={() => go(i)}
                    className="rounded-large border border-line bg-card px-4 py-3"
                  >
                    <Words strong size="body">{`${i + 1}  ${title}`}</Words>
                    <Words tone="soft">{lead}</Words>
                  </Pressable>
                </View>
              ))}
            </View>
          </>
        )}
        {chapters && chapter && (
          <Chapter chapter={chapter} next={chapters[at! + 1]?.title ?? null} onNext={() => go(at! + 1)} />
        )}
      </ScrollView>
    </View>
  );
}
